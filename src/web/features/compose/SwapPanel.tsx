import { useMemo, useState } from 'react';
import { swapIngredient, type Swap, type SwapAnswer } from '#core/balance';
import { findIngredient, type IngredientId } from '#core/ingredient';
import type { Addition, AdditionId, Formula, ReadingContext } from '#core/formula';
import type { PalateKey, Style } from '#core/palate';
import { sayLost } from '#words/balance';
import { MEASURE_WORDS } from '#words/palate';
import type { Judgement, Reckoning } from '#core/reckoning';
import { inSentence } from '#words/numbers';
import { takeSwap } from '#kitchen/edits';
import { composeBalanceWords } from '#words/screens/composeBalance';
import { newId } from '../../sync/device';
import { handMeasure, type Kitchen } from '#kitchen/reading';
import { Button } from '../../ui/Button';
import { Field } from '../../ui/Field';
import { Dialog } from '../../ui/Dialog';
import { showMeasure } from '#words/judgement';
import { ChangeEffect } from '../../parts/ChangeEffect';

interface SwapPanelProps {
  readonly addition: Addition;
  readonly formula: Formula;
  readonly reckoning: Reckoning;
  readonly judgement: Judgement;
  readonly style: Style | null;
  readonly context: ReadingContext;
  readonly kitchen: Kitchen;
  readonly onTake: (next: Formula) => void;
  readonly onClose: () => void;
}

/** What often stands in for something of its kind; ids of the table. Common practice. */
const STAND_INS: readonly (readonly string[])[] = [
  [
    'lemon_juice',
    'lime_juice',
    'vin_whitewine6',
    'vin_cider5',
    'vin_redwine6',
    'vin_sherry7',
    'vin_rice42',
    'verjuice',
  ],
  ['honey', 'sugar_white', 'maple', 'agave', 'date_syrup'],
  ['salt_table', 'salt_sea_fine', 'salt_kosher_flaky', 'salt_flake'],
  ['mayo_full', 'yoghurt_greek', 'yoghurt_whole', 'soured_cream', 'avocado', 'tofu_silken'],
  ['egg_yolk', 'egg_yolk_past', 'egg_whole', 'mustard_dijon', 'aquafaba', 'soy_milk', 'mayo_full'],
  ['shallot', 'onion_red', 'scallion', 'chives'],
  ['garlic', 'garlic_powder'],
  ['mustard_dijon', 'mustard_grain', 'mustard_sweet', 'mustard_powder'],
  ['olive_ev', 'olive_light', 'rapeseed', 'sunflower', 'grapeseed', 'walnut_oil'],
];
const MOST_OFFERED = 6;

/** One ingredient for another: what follows, what is kept and what is not, before it is taken. */
export function SwapPanel(props: SwapPanelProps) {
  const { addition, formula, reckoning, style, context, kitchen, onTake, onClose } = props;
  const [text, setText] = useState('');
  const read = useMemo(
    () =>
      reckoning.additions.flatMap(({ addition: line, reading, counted }) =>
        counted && reading.status === 'read' ? [line] : [],
      ),
    [reckoning],
  );
  const index = read.findIndex(({ id }) => id === addition.id);
  const from = props.judgement.portions[index];
  const found = text.trim() ? findIngredient(text, kitchen.catalogue) : null;
  const to = found?.status === 'found' ? found.ingredient : null;
  const answer = useMemo((): SwapAnswer | null => {
    if (!to || index < 0 || to.id === from?.ingredient.id) return null;
    return swapIngredient({
      portions: props.judgement.portions,
      index,
      to,
      catalogue: kitchen.catalogue,
      style,
      locked: new Set(read.flatMap(({ locked }, i) => (locked ? [i] : []))),
    });
  }, [to, index, from, props.judgement.portions, kitchen.catalogue, style, read]);
  if (!from || !(from.massG.nominal > 0)) {
    return (
      <Dialog title={composeBalanceWords.swap} open onClose={onClose}>
        <p>{composeBalanceWords.giveThisAdditionAnAmount}</p>
      </Dialog>
    );
  }
  const family = STAND_INS.find((ids) => ids.includes(from.ingredient.id)) ?? [];
  const offered = family
    .flatMap((id) => kitchen.catalogue.get(id as IngredientId) ?? [])
    .filter(({ id }) => id !== from.ingredient.id)
    .slice(0, MOST_OFFERED);
  const take = (swap: Swap): void => {
    const ids = read.map(({ id }) => id);
    onTake(takeSwap(formula, ids, swap.lines, { context, newId: () => newId() as AdditionId }));
    onClose();
  };
  return (
    <Dialog title={composeBalanceWords.nameSwapFor(from.ingredient.name)} open onClose={onClose} wide>
      <Field
        label={composeBalanceWords.swapFor}
        autoFocus
        value={text}
        list={composeBalanceWords.swapIngredients}
        placeholder={composeBalanceWords.whiteWineVinegar}
        onText={setText}
        problem={problemOf(found, from.ingredient.id)}
        hint={
          found?.status === 'found' && found.guessed
            ? composeBalanceWords.takenAsName(found.ingredient.name)
            : undefined
        }
      />
      <datalist id="swap-ingredients">
        {[...kitchen.catalogue.values()].map(({ id, name }) => (
          <option key={id} value={name} />
        ))}
      </datalist>
      {offered.length > 0 && (
        <p className="mt-2 flex flex-wrap gap-1.5">
          {offered.map(({ id, name }) => (
            <Button
              key={id}
              onClick={() => {
                setText(name);
              }}
            >
              {name}
            </Button>
          ))}
        </p>
      )}
      <ol className="mt-4 grid gap-3" data-testid="swaps">
        {answer?.swaps.map((swap, place) => (
          <li key={swap.id} className="card border-l-4 border-l-leaf p-3">
            <div className="mb-2 flex flex-wrap items-start justify-between gap-3">
              <div>
                <p className="font-name text-[1.05rem] font-semibold">{sayPlan(swap, answer)}</p>
                <ul className="text-sm">
                  {swap.lines.map((line) => (
                    <li key={line.ingredient.id}>
                      {sayLine(line, from.ingredient.name, index, (massG, ingredient) =>
                        handMeasure(massG, ingredient, kitchen.settings.spoons, kitchen.settings),
                      )}
                    </li>
                  ))}
                </ul>
              </div>
              <Button
                kind={place === 0 ? 'main' : 'plain'}
                onClick={() => {
                  take(swap);
                }}
              >
                {composeBalanceWords.swap}
              </Button>
            </div>
            {swap.notKept.length > 0 && (
              <p className="mb-2 text-sm font-semibold">
                {composeBalanceWords.cannotBeKept}{' '}
                {swap.notKept
                  .map(({ measure, before, after }) => sayMoved(measure, before, after, kitchen))
                  .join('; ')}
                .
              </p>
            )}
            {sayLost(swap.lost).length > 0 && (
              <p className="mb-2 text-sm font-semibold" data-testid="lost">
                {sayLost(swap.lost).join(' ')}
              </p>
            )}
            <ChangeEffect
              before={props.judgement.palate}
              keepingBefore={props.judgement.keeping}
              effect={swap.effect}
              style={style}
              settings={kitchen.settings}
            />
          </li>
        ))}
      </ol>
    </Dialog>
  );
}

const problemOf = (found: ReturnType<typeof findIngredient> | null, fromId: string): string | null => {
  if (!found) return null;
  if (found.status === 'found')
    return found.ingredient.id === fromId ? composeBalanceWords.thatIsWhatIsIn : null;
  const near = found.near.map(({ name }) => name).join('; ');
  return composeBalanceWords.notInThePantryForm(near ? composeBalanceWords.nearItNear(near) : '');
};

const KEEPS: Record<Exclude<SwapAnswer['kept'], PalateKey>, string> = {
  volume: composeBalanceWords.volumeForVolume,
  weight: composeBalanceWords.weightForWeight,
};

function sayPlan(swap: Swap, { kept }: SwapAnswer): string {
  if (swap.id === 'rest-follows') return composeBalanceWords.withTheRestFollowing;
  if (swap.id === 'with-second') return composeBalanceWords.keptTogether;
  const how =
    kept === 'volume' || kept === 'weight'
      ? KEEPS[kept]
      : composeBalanceWords.sameTitle(MEASURE_WORDS[kept].title.toLowerCase());
  return composeBalanceWords.oneForOneHow(how);
}

function sayLine(
  { index, ingredient, fromG, toG }: Swap['lines'][number],
  fromName: string,
  swapped: number,
  say: (massG: number, ingredient: Swap['lines'][number]['ingredient']) => string,
): string {
  const name = inSentence(ingredient.name);
  if (index === swapped)
    return composeBalanceWords.togNameForTheFromname(say(toG, ingredient), name, inSentence(fromName));
  if (!(toG > 1e-3)) return composeBalanceWords.noName(name);
  return fromG > 0
    ? `${name} ${say(fromG, ingredient)} → ${say(toG, ingredient)}`
    : composeBalanceWords.andTogName(say(toG, ingredient), name);
}

const sayMoved = (
  measure: PalateKey,
  before: number | null,
  after: number | null,
  { settings }: Kitchen,
): string =>
  `${MEASURE_WORDS[measure].title.toLowerCase()} ${showMeasure(measure, before, settings.decimalSign)} → ${showMeasure(measure, after, settings.decimalSign)}`;
