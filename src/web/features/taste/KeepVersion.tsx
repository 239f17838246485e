import { useEffect, useMemo, useRef, useState } from 'react';
import { Link, useNavigate } from 'react-router';
import type { VersionRecord } from '#contract';
import type { PlanLine, RoundTo } from '#core/balance';
import { restoredFrom, type AdditionId, type Formula } from '#core/formula';
import { MEASURE_WORDS } from '#words/palate';
import { reckonFormula } from '#core/reckoning';
import { asMade, isAsPlanned } from '#core/trial';
import { tasteWords } from '#words/screens/taste';
import { Alert } from '../../ui/Alert';
import { sayError, useVersionsQuery } from '../../data/kitchenApi';
import { formatAmount, formatNumber } from '#words/numbers';
import { showMeasure } from '#words/judgement';
import { takeAsMade } from '#kitchen/edits';
import { newId } from '../../sync/device';
import { makingOf, type Jar } from '../../data/jars';
import { contextFor, vesselOf, type Kitchen } from '#kitchen/reading';
import { useAppDispatch } from '../../sync/store';
import { useFreezeNow, whenSaved } from '../../sync/freeze';
import { formulaEdited, type WorkingFormula } from '../../sync/working';
import { Button } from '../../ui/Button';
import { Chips } from '../../ui/Chips';
import { Dialog } from '../../ui/Dialog';
import { Working } from '../../ui/Working';
import { useSearch } from '../../workers/useSearch';

interface KeepVersionProps {
  readonly working: WorkingFormula;
  readonly jar: Jar;
  readonly kitchen: Kitchen;
  readonly open: boolean;
  readonly onOpen: () => void;
  readonly onClose: () => void;
}

/** The jar is right: its version stands as it is, or what was made becomes the next version. */
export function KeepVersion(props: KeepVersionProps) {
  const { working, jar, kitchen, open, onOpen } = props;
  const versions = useVersionsQuery(working.id);
  const version = versions.data?.find(({ number }) => number === jar.version);
  const planned = useMemo(() => {
    if (!version) return [];
    const { formula } = version;
    return reckonFormula(
      formula,
      vesselOf(formula, kitchen.vessels),
      contextFor(formula, kitchen),
    ).additions.flatMap(({ addition, reading, counted }) =>
      counted && reading.status === 'read' && reading.massG.nominal > 0
        ? [{ ingredientId: reading.ingredient.id, form: addition.form, massG: reading.massG.nominal }]
        : [],
    );
  }, [version, kitchen]);
  if (!version) {
    return versions.error ? <Alert>{tasteWords.theVersionItWasMade(sayError(versions.error))}</Alert> : null;
  }
  if (isAsPlanned(planned, asMade(jar.lines, jar.events))) {
    return (
      <p className="text-lg font-semibold" data-testid="stands">
        {tasteWords.rightAsMadeVVersion(jar.version)}
      </p>
    );
  }
  return (
    <div className="flex flex-wrap items-center gap-4">
      <p className="mr-auto text-lg font-semibold">{tasteWords.rightButNotAsV(jar.version)}</p>
      <Button kind="main" data-next className="min-h-16 px-6" onClick={onOpen}>
        {tasteWords.keepItAsANew}
      </Button>
      {open && <KeepPanel {...props} version={version} />}
    </div>
  );
}

/** What was right stays as it was made; rounding is asked for, and says what it changes. */
const WAYS = [
  { value: 'exact', label: tasteWords.asItWasMade },
  { value: '0.1', label: tasteWords.n01GScale },
  { value: 'mixed', label: tasteWords.n1GScaleSpoonsFor },
  { value: 'spoons', label: tasteWords.spoonsAndCups },
] as const;
type Way = (typeof WAYS)[number]['value'];

function roundTo(way: Exclude<Way, 'exact'>, { spoons }: Formula): RoundTo {
  if (way === 'spoons') return { kind: 'spoons', spoons };
  if (way === 'mixed') return { kind: 'mixed', readabilityG: 1, spoons };
  return { kind: 'scale', readabilityG: 0.1 };
}

/** As made, scaled back to the formula's size, rounded, and what the rounding does. */
function KeepPanel({
  working,
  jar,
  kitchen,
  version,
  onClose,
}: KeepVersionProps & { version: VersionRecord }) {
  const { settings, catalogue } = kitchen;
  const dispatch = useAppDispatch();
  const navigate = useNavigate();
  const [way, setWay] = useState<Way>('exact');
  const freezing = useFreezeNow();
  const [keeping, setKeeping] = useState<Formula | null>(null);
  const start = useMemo(() => restoredFrom(version), [version]);
  const context = useMemo(() => contextFor(start, kitchen), [start, kitchen]);
  const reckoning = useMemo(
    () => reckonFormula(start, vesselOf(start, kitchen.vessels), context),
    [start, kitchen.vessels, context],
  );
  const scaled = useMemo(() => {
    const made = asMade(jar.lines, jar.events).flatMap(({ ingredientId, form, massG }) => {
      const ingredient = catalogue.get(ingredientId);
      return ingredient ? [{ ingredient, form, massG }] : [];
    });
    // A jar made twice as large is kept half as large; what mended it stays in full.
    const { scaleFactor } = makingOf(jar);
    return made.map((line): PlanLine => ({ ...line, massG: line.massG / scaleFactor, kept: false }));
  }, [jar, catalogue]);
  const question = useMemo(
    () => (way === 'exact' || scaled.length === 0 ? null : { plan: scaled, to: roundTo(way, start) }),
    [way, scaled, start],
  );
  const { search, stop } = useSearch('round', question);
  const rounded = search.status === 'done' && way !== 'exact' ? search.answer : null;
  const lines = scaled.map((line, index) => {
    const found = rounded?.lines.find((one) => one.index === index);
    const text = found?.text ?? null;
    return {
      ...line,
      massG: found?.massG ?? line.massG,
      text: text !== null && context.decimalSign === 'comma' ? text.replace('.', ',') : text,
    };
  });
  const { id } = working;
  const gone = useRef(new AbortController());
  useEffect(() => {
    const controller = new AbortController();
    gone.current = controller;
    return () => {
      controller.abort();
    };
  }, []);
  /** Autosave brings the new amounts to the kitchen first; then they are frozen. */
  const freezeKept = async (next: Formula): Promise<void> => {
    const saved = await whenSaved(id, next, gone.current.signal);
    if (!saved) return;
    try {
      await freezing.freezeNow(saved, tasteWords.asJarOfVVersion(jar.version));
      void navigate(`/formulas/${id}/versions`);
    } catch {
      // Said below; what was kept stands in Compose.
    }
  };
  const keep = (): void => {
    const next = takeAsMade(start, reckoning.additions, lines, {
      context,
      newId: () => newId() as AdditionId,
    });
    dispatch(formulaEdited(id, next));
    setKeeping(next);
    void freezeKept(next);
  };
  const ready = way === 'exact' || rounded !== null;
  return (
    <Dialog title={tasteWords.keepAsVPart(working.latestNumber + 1)} open onClose={onClose} wide>
      <Chips label={tasteWords.measuredWith} value={way} options={WAYS} onChange={setWay} />
      {search.status === 'working' && (
        <Working what={tasteWords.tryingRoundings} done={search.done} onStop={stop} />
      )}
      <table className="my-3 w-full text-left text-sm">
        <caption className="sr-only">{tasteWords.asMadeScaledToThe}</caption>
        <thead className="text-quiet">
          <tr>
            <th className="font-normal">{tasteWords.addition}</th>
            <th className="font-normal">{tasteWords.asMadeAtThisSize}</th>
            <th className="font-normal">{tasteWords.keptAs}</th>
          </tr>
        </thead>
        <tbody>
          {lines.map(({ ingredient, form, massG, text }, index) => (
            <tr key={index} className="border-t border-rule">
              <td className="py-1 pr-2">{[ingredient.name, form].filter(Boolean).join(', ')}</td>
              <td className="pr-2">{formatAmount(scaled[index]!.massG, 'g', settings)}</td>
              <td className="font-semibold">{text ?? formatAmount(massG, 'g', settings)}</td>
            </tr>
          ))}
        </tbody>
      </table>
      {rounded && (
        <ul className="mb-3 text-sm" data-testid="damage">
          {rounded.damage.length === 0 && <li>{tasteWords.nobodyWillTasteTheRounding}</li>}
          {rounded.damage.map(({ measure, before, after, steps }) => (
            <li key={measure}>
              {MEASURE_WORDS[measure].title}: {showMeasure(measure, before, settings.decimalSign)} →{' '}
              {tasteWords.showmeasureStepsOfWhatA(
                showMeasure(measure, after, settings.decimalSign),
                formatNumber(steps, 1, settings),
              )}
            </li>
          ))}
        </ul>
      )}
      {working.save === 'saved' && working.baseVersion?.number !== jar.version && (
        <p className="mb-3 text-sm">
          {tasteWords.theWorkingFormulaStandsElsewhere}{' '}
          <Link to={`/formulas/${id}/compose`} className="underline">
            {tasteWords.look}
          </Link>
        </p>
      )}
      {freezing.isError && (
        <Alert className="mb-3">{tasteWords.notFrozenTheAmountsStand(sayError(freezing.error))}</Alert>
      )}
      <Button
        kind="main"
        data-next
        className="min-h-16 px-6"
        disabled={!ready || keeping !== null}
        onClick={keep}
      >
        {keeping ? tasteWords.keeping : tasteWords.keepAsVPart(working.latestNumber + 1)}
      </Button>
    </Dialog>
  );
}
