import { useMemo, useState } from 'react';
import type { PlanLine, RoundTo, Rounding } from '#core/balance';
import { isMassUnit, isVolumeUnit, sensibly } from '#core/quantity';
import type { Formula, ReadingContext } from '#core/formula';
import { MEASURE_WORDS } from '#words/palate';
import type { ReckonedAddition, Reckoning } from '#core/reckoning';
import type { Settings } from '#contract';
import { formatAmount, formatPercent, inSentence } from '#words/numbers';
import { takeRounding } from '#kitchen/edits';
import { composeBalanceWords } from '#words/screens/composeBalance';
import { Button } from '../../ui/Button';
import { Chips } from '../../ui/Chips';
import { Dialog } from '../../ui/Dialog';
import { showMeasure } from '#words/judgement';
import { useSearch } from '../../workers/useSearch';
import { SearchState } from '../../parts/SearchState';

interface RoundPanelProps {
  readonly formula: Formula;
  readonly reckoning: Reckoning;
  readonly context: ReadingContext;
  readonly settings: Settings;
  readonly onTake: (next: Formula) => void;
  readonly onClose: () => void;
}

const WAYS = [
  { value: 'spoons', label: composeBalanceWords.spoonsAndCups },
  { value: '0.1', label: composeBalanceWords.n01GScale },
  { value: '1', label: composeBalanceWords.n1GScale },
  { value: '5', label: composeBalanceWords.n5GScale },
  { value: 'mixed', label: composeBalanceWords.n1GScaleSpoonsFor },
  { value: 'mixed5', label: composeBalanceWords.n5GScaleSpoonsFor },
] as const;
type Way = (typeof WAYS)[number]['value'];

function roundTo(way: Way, { spoons }: Formula): RoundTo {
  if (way === 'spoons') return { kind: 'spoons', spoons };
  if (way === 'mixed') return { kind: 'mixed', readabilityG: 1, spoons };
  if (way === 'mixed5') return { kind: 'mixed', readabilityG: 5, spoons };
  return { kind: 'scale', readabilityG: Number(way) };
}

type Weighable = ReckonedAddition & { readonly reading: { readonly status: 'read' } };

/** Amounts that can really be measured, and what that does to the taste. */
export function RoundPanel({ formula, reckoning, context, settings, onTake, onClose }: RoundPanelProps) {
  const [way, setWay] = useState<Way>('mixed');
  const lines = useMemo(
    () =>
      reckoning.additions.filter(
        (line): line is Weighable =>
          line.counted && line.reading.status === 'read' && line.reading.massG.nominal > 0,
      ),
    [reckoning],
  );
  const question = useMemo(
    () => ({
      plan: lines.map(({ addition, reading }): PlanLine => ({
        ingredient: reading.ingredient,
        form: addition.form,
        massG: reading.massG.nominal,
        kept: addition.locked || isCounted(reading),
      })),
      to: roundTo(way, formula),
    }),
    [lines, way, formula],
  );
  const { search, stop, again } = useSearch('round', lines.length > 0 ? question : null);
  const names = lines.map(({ reading }) => inSentence(reading.ingredient.name));
  return (
    <Dialog title={composeBalanceWords.roundToWhatCanBe} open onClose={onClose} wide>
      <Chips label={composeBalanceWords.measuredWith} value={way} options={WAYS} onChange={setWay} />
      <SearchState search={search} what={composeBalanceWords.tryingRoundings} onStop={stop} onAgain={again} />
      {lines.length === 0 && <p className="mt-3">{composeBalanceWords.thereIsNothingToRound}</p>}
      {search.status === 'done' && (
        <>
          <p className="my-3" role="status" data-testid="rounding-says">
            {sayRounding(search.answer, settings)}
          </p>
          <table className="mb-3 w-full text-left text-sm">
            <caption className="sr-only">{composeBalanceWords.amountsBeforeAndAfterRounding}</caption>
            <thead className="text-quiet">
              <tr>
                <th className="font-normal">{composeBalanceWords.addition}</th>
                <th className="font-normal">{composeBalanceWords.asTyped}</th>
                <th className="font-normal">{composeBalanceWords.rounded}</th>
                <th className="text-right font-normal">{composeBalanceWords.offBy}</th>
              </tr>
            </thead>
            <tbody>
              {search.answer.lines.map(({ index, text, massG, how, carrier }) => {
                const { addition, reading } = lines[index]!;
                const off = massG / reading.massG.nominal - 1;
                return (
                  <tr key={addition.id} className="border-t border-rule">
                    <td className="py-1 pr-2">{reading.ingredient.name}</td>
                    <td className="pr-2">
                      {addition.amountText}{' '}
                      <span className="text-quiet">{formatAmount(reading.massG.nominal, 'g', settings)}</span>
                    </td>
                    <td className="pr-2 font-semibold">
                      {text ?? <span className="font-normal text-quiet">{composeBalanceWords.stays}</span>}
                      {carrier !== null && (
                        <span className="block font-normal">
                          {composeBalanceWords.stir10GInto90} {names[carrier]}
                          {composeBalanceWords.takeSensiblyG(sensibly(massG * 10))}
                        </span>
                      )}
                    </td>
                    <td className="text-right">{how === 'kept' ? '–' : formatPercent(off, settings, 0)}</td>
                  </tr>
                );
              })}
            </tbody>
          </table>
          {search.answer.damage.length > 0 && (
            <ul className="mb-4 text-sm" data-testid="damage">
              {search.answer.damage.map(({ measure, before, after, steps }) => (
                <li key={measure}>
                  {MEASURE_WORDS[measure].title}: {showMeasure(measure, before, settings.decimalSign)} →{' '}
                  {showMeasure(measure, after, settings.decimalSign)}
                  {steps >= 1 && <strong>{composeBalanceWords.aTasterMayNotice}</strong>}
                </li>
              ))}
            </ul>
          )}
          <div className="flex gap-3">
            <Button
              kind="main"
              onClick={() => {
                const ids = lines.map(({ addition }) => addition.id);
                onTake(takeRounding(formula, ids, search.answer.lines, names, context));
                onClose();
              }}
            >
              {composeBalanceWords.takeTheseAmounts}
            </Button>
            <Button onClick={onClose}>{composeBalanceWords.leaveAsItWas}</Button>
          </div>
        </>
      )}
    </Dialog>
  );
}

/** A yolk or a clove is a whole thing already. */
const isCounted = ({ amount }: Weighable['reading']): boolean =>
  amount.kind !== 'measured' || !amount.terms.every(({ unit }) => isMassUnit(unit) || isVolumeUnit(unit));

function sayRounding(
  { loss, naiveLoss, proven, gap, volumeFactor, damage }: Rounding,
  settings: Settings,
): string {
  const taste =
    damage.length === 0
      ? composeBalanceWords.nobodyWillTasteTheRounding
      : damage[0]!.steps < 1
        ? composeBalanceWords.belowWhatATasterNotices
        : composeBalanceWords.theRoundingCanBeTasted;
  const than = loss < naiveLoss - 1e-9 ? composeBalanceWords.lessHarmThanEachTo : '';
  const sure = proven
    ? composeBalanceWords.provenBestEveryCombinationWas
    : gap !== null
      ? composeBalanceWords.theBestFoundNotEvery
      : '';
  const volume = `${volumeFactor >= 1 ? '+' : '−'}${formatPercent(Math.abs(volumeFactor - 1), settings, 1)}`;
  return composeBalanceWords.tasteThanVolumeVolumeSure(taste, than, volume, sure);
}
