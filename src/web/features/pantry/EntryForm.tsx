import { useState } from 'react';
import { pantryEntrySchema, type PantryEntry } from '#contract';
import { measuringWith, takesLabelAcidity, toMass, type Ingredient } from '#core/ingredient';
import { parseAmount } from '#core/quantity';
import { sayProblem } from '#words/reading';
import { pantryWords } from '#words/screens/pantry';
import { sayError, useSavePantryMutation } from '../../data/kitchenApi';
import { formatAmount } from '#words/numbers';
import { readDecimal } from '../../ui/readDecimal';
import type { Kitchen } from '#kitchen/reading';
import { Button } from '../../ui/Button';
import { Field } from '../../ui/Field';

type Draft = Record<'onHand' | 'price' | 'pack' | 'label' | 'acidity' | 'ph' | 'openedOn' | 'useBy', string>;

const shown = (value: number | null): string => (value === null ? '' : String(value));
const grams = (value: number | null): string => (value === null ? '' : `${value} g`);

function draftOf({ onHandG, price, packMassG, bottle }: PantryEntry): Draft {
  return {
    onHand: grams(onHandG),
    price: shown(price),
    pack: grams(packMassG),
    label: bottle.label,
    acidity: shown(bottle.acidityGPer100Ml),
    ph: shown(bottle.ph),
    openedOn: bottle.openedOn ?? '',
    useBy: bottle.useBy ?? '',
  };
}

/** Stock, price and the bottle in use. Amounts are typed as a cook says them. */
export function EntryForm({
  ingredient,
  entry,
  kitchen,
}: {
  ingredient: Ingredient;
  entry: PantryEntry;
  kitchen: Kitchen;
}) {
  const { settings } = kitchen;
  const [draft, setDraft] = useState<Draft>(draftOf(entry));
  const [save, saving] = useSavePantryMutation();
  const [saved, setSaved] = useState<Draft>(draft);
  const read = readDraft(draft, ingredient, kitchen);
  const changed = (Object.keys(draft) as (keyof Draft)[]).some((key) => draft[key] !== saved[key]);
  const set = (key: keyof Draft) => (text: string) => {
    setDraft((now) => ({ ...now, [key]: text }));
  };
  const problem = (key: keyof Draft): string | undefined => read.problems.get(key);
  return (
    <form
      aria-label={pantryWords.inOurKitchen}
      className="card grid gap-3 p-4"
      onSubmit={(event) => {
        event.preventDefault();
        if (!read.entry) return;
        const sent = draft;
        void save({ id: ingredient.id, entry: read.entry })
          .unwrap()
          .then(
            () => {
              setSaved(sent);
            },
            () => undefined,
          );
      }}
    >
      <h2 className="font-name text-lg font-bold">{pantryWords.inOurKitchen}</h2>
      <div className="grid gap-3 sm:grid-cols-3">
        <Field
          label={pantryWords.onHand}
          value={draft.onHand}
          onText={set('onHand')}
          problem={problem('onHand')}
          placeholder={pantryWords.n750Ml}
          hint={read.entry?.onHandG != null && formatAmount(read.entry.onHandG, 'g', settings)}
        />
        <Field
          label={pantryWords.priceCurrency(settings.currency)}
          value={draft.price}
          onText={set('price')}
          problem={problem('price')}
          inputMode="decimal"
          placeholder="4.20"
        />
        <Field
          label={pantryWords.forAPackOf}
          value={draft.pack}
          onText={set('pack')}
          problem={problem('pack')}
          placeholder="1 l"
          hint={pantryWords.asBought}
        />
      </div>
      <fieldset className="grid gap-3">
        <legend className="mb-1 font-semibold">{pantryWords.theBottleOrJarIn}</legend>
        <Field
          label={pantryWords.itsLabel}
          value={draft.label}
          onText={set('label')}
          maxLength={120}
          placeholder={pantryWords.bigBottleOakCask}
        />
        <div className="grid gap-3 sm:grid-cols-2">
          {takesLabelAcidity(ingredient) && (
            <Field
              label={pantryWords.acidityOnTheLabel}
              value={draft.acidity}
              onText={set('acidity')}
              problem={problem('acidity')}
              inputMode="decimal"
              placeholder={(ingredient.composition.acetic * 100 * ingredient.spoonDensityGPerMl).toFixed(1)}
              hint={pantryWords.gPer100MlStands}
            />
          )}
          <Field
            label={pantryWords.itsMeasuredPh}
            value={draft.ph}
            onText={set('ph')}
            problem={problem('ph')}
            inputMode="decimal"
            hint={pantryWords.calibratedMeterStandsInFor}
          />
          <Field
            label={pantryWords.openedOn}
            type="date"
            value={draft.openedOn}
            onText={set('openedOn')}
            problem={problem('openedOn')}
          />
          <Field
            label={pantryWords.useBy}
            type="date"
            value={draft.useBy}
            onText={set('useBy')}
            problem={problem('useBy')}
          />
        </div>
      </fieldset>
      <div className="flex flex-wrap items-center gap-3">
        <Button kind="main" type="submit" disabled={!changed || !read.entry || saving.isLoading}>
          {pantryWords.keep}
        </Button>
        <span role="status" className={saving.isError ? 'text-acid-ink' : 'text-quiet'}>
          {saving.isError
            ? pantryWords.notKeptError(sayError(saving.error))
            : changed
              ? pantryWords.notKeptYet
              : saving.isSuccess
                ? pantryWords.kept
                : ''}
        </span>
      </div>
    </form>
  );
}

function readDraft(
  draft: Draft,
  ingredient: Ingredient,
  { settings }: Kitchen,
): { entry: PantryEntry | null; problems: ReadonlyMap<keyof Draft, string> } {
  const problems = new Map<keyof Draft, string>();
  const number = (key: keyof Draft): number | null => {
    if (!draft[key].trim()) return null;
    const value = readDecimal(draft[key]);
    if (value === null) problems.set(key, 'A number, such as 4.2.');
    return value;
  };
  const mass = (key: keyof Draft): number | null => {
    if (!draft[key].trim()) return null;
    const parsed = parseAmount(draft[key], settings.decimalSign);
    if (parsed.status === 'read' && parsed.amount.kind === 'measured') {
      const measuring = { ...measuringWith(settings.spoons), smallMeasures: settings.smallMeasures };
      const weighed = toMass(parsed.amount, ingredient, measuring, parsed.rest);
      if (weighed.status === 'read') return Number(weighed.massG.nominal.toFixed(2));
      problems.set(key, sayProblem(weighed.problem));
      return null;
    }
    problems.set(key, parsed.status === 'unread' ? sayProblem(parsed.problem) : pantryWords.howMuchInFigures);
    return null;
  };
  const candidate: PantryEntry = {
    onHandG: mass('onHand'),
    price: number('price'),
    packMassG: mass('pack'),
    bottle: {
      label: draft.label.trim(),
      acidityGPer100Ml: number('acidity'),
      ph: number('ph'),
      openedOn: draft.openedOn || null,
      useBy: draft.useBy || null,
    },
  };
  const paths: Record<string, keyof Draft> = {
    onHandG: 'onHand',
    price: 'price',
    packMassG: 'pack',
    'bottle.acidityGPer100Ml': 'acidity',
    'bottle.ph': 'ph',
    'bottle.openedOn': 'openedOn',
    'bottle.useBy': 'useBy',
  };
  const checked = pantryEntrySchema.safeParse(candidate);
  for (const issue of checked.error?.issues ?? []) {
    const key = paths[issue.path.join('.')];
    if (key && !problems.has(key))
      problems.set(key, pantryWords.itMustBeMessage(issue.message).replace('must be must be', 'must be'));
  }
  if (
    (candidate.price === null) !== (candidate.packMassG === null) &&
    !problems.has('price') &&
    !problems.has('pack')
  ) {
    problems.set(candidate.price === null ? 'price' : 'pack', pantryWords.priceAndPackGoTogether);
  }
  return { entry: problems.size === 0 && checked.success ? checked.data : null, problems };
}
