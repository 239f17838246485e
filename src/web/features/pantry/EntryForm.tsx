import { useSaveShared } from '../../sync/useSaveShared';
import { pantryEntrySchema, type PantryEntry } from '#contract';
import { measuringWith, takesLabelAcidity, toMass, type Ingredient } from '#core/ingredient';
import { parseAmount } from '#core/quantity';
import type { Kitchen } from '#kitchen/reading';
import { formatAmount } from '#words/numbers';
import { sayProblem } from '#words/reading';
import { pantryWords } from '#words/screens/pantry';
import { sayError } from '../../data/kitchenApi';
import { DateField, ReadField, TextField, type ReadText } from '../../form/fields';
import { SaveRow } from '../../form/SaveRow';
import { useDraft } from '../../form/useDraft';

/** A price says nothing without what it is for. */
const entrySchema = pantryEntrySchema.superRefine(({ price, packMassG }, context) => {
  if ((price === null) !== (packMassG === null))
    context.addIssue({
      code: 'custom',
      path: [price === null ? 'price' : 'packMassG'],
      message: 'must go with its pack',
    });
});
const SAVE_WORDS = {
  save: pantryWords.keep,
  notSavedYet: pantryWords.notKeptYet,
  saved: pantryWords.kept,
  notSaved: pantryWords.notKeptError,
};
const grams = (massG: number): string => `${massG} g`;

interface EntryFormProps {
  readonly ingredient: Ingredient;
  readonly entry: PantryEntry;
  readonly kitchen: Kitchen;
}

/** Stock, price and the bottle in use. Amounts are typed as a cook says them. */
export function EntryForm({ ingredient, entry, kitchen }: EntryFormProps) {
  const { settings } = kitchen;
  const [save] = useSaveShared('pantry');
  const draft = useDraft<PantryEntry>({
    schema: entrySchema,
    start: entry,
    save: (value, from) => save(ingredient.id, from, value),
  });
  const { control } = draft.form;
  const read = readMass(ingredient, kitchen);
  const onHandG = draft.form.watch('onHandG');
  return (
    <form aria-label={pantryWords.inOurKitchen} className="card grid gap-3 p-4" onSubmit={draft.submit}>
      <h2 className="font-name text-lg font-bold">{pantryWords.inOurKitchen}</h2>
      <div className="grid grid-cols-[minmax(0,1fr)] gap-3 sm:grid-cols-3">
        <ReadField
          control={control}
          name="onHandG"
          label={pantryWords.onHand}
          whenEmpty={null}
          read={read}
          show={grams}
          inputMode="text"
          placeholder={pantryWords.n750Ml}
          hint={onHandG !== null && !Number.isNaN(onHandG) && formatAmount(onHandG, 'g', settings)}
        />
        <ReadField
          control={control}
          name="price"
          label={pantryWords.priceCurrency(settings.currency)}
          whenEmpty={null}
          placeholder="4.20"
        />
        <ReadField
          control={control}
          name="packMassG"
          label={pantryWords.forAPackOf}
          whenEmpty={null}
          read={read}
          show={grams}
          inputMode="text"
          placeholder="1 l"
          hint={pantryWords.asBought}
        />
      </div>
      <fieldset className="grid gap-3">
        <legend className="mb-1 font-semibold">{pantryWords.theBottleOrJarIn}</legend>
        <TextField
          control={control}
          name="bottle.label"
          label={pantryWords.itsLabel}
          maxLength={120}
          placeholder={pantryWords.bigBottleOakCask}
        />
        <div className="grid grid-cols-[minmax(0,1fr)] gap-3 sm:grid-cols-2">
          {takesLabelAcidity(ingredient) && (
            <ReadField
              control={control}
              name="bottle.acidityGPer100Ml"
              label={pantryWords.acidityOnTheLabel}
              whenEmpty={null}
              placeholder={(ingredient.composition.acetic * 100 * ingredient.spoonDensityGPerMl).toFixed(1)}
              hint={pantryWords.gPer100MlStands}
            />
          )}
          <ReadField
            control={control}
            name="bottle.ph"
            label={pantryWords.itsMeasuredPh}
            whenEmpty={null}
            hint={pantryWords.calibratedMeterStandsInFor}
          />
          <DateField control={control} name="bottle.openedOn" label={pantryWords.openedOn} />
          <DateField control={control} name="bottle.useBy" label={pantryWords.useBy} />
        </div>
      </fieldset>
      <SaveRow draft={draft} sayError={sayError} words={SAVE_WORDS} />
    </form>
  );
}

/** "½ l", "750 ml", "2 cups" of this ingredient, in grams. */
const readMass =
  (ingredient: Ingredient, { settings, readAmountsWith }: Kitchen): ReadText =>
  (text) => {
    const parsed = parseAmount(text, readAmountsWith ?? settings.decimalSign);
    if (parsed.status === 'unread') return { problem: sayProblem(parsed.problem) };
    if (parsed.amount.kind !== 'measured') return { problem: pantryWords.howMuchInFigures };
    const measuring = { ...measuringWith(settings.spoons), smallMeasures: settings.smallMeasures };
    const weighed = toMass(parsed.amount, ingredient, measuring, parsed.rest);
    return weighed.status === 'read'
      ? { value: Number(weighed.massG.nominal.toFixed(2)) }
      : { problem: sayProblem(weighed.problem) };
  };
