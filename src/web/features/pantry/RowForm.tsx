import { useSaveShared } from '../../sync/useSaveShared';
import { useState } from 'react';
import type { OwnIngredient } from '#contract';
import {
  bodyFromWord,
  COMPONENTS,
  HAZARDS,
  ingredientFromRow,
  usNamesOf,
  wordOfBody,
  type Category,
  type Composition,
  type Ingredient,
  type IngredientId,
  type ThicknessClass,
} from '#core/ingredient';
import { notesOf } from '#core/ingredient/notes';
import { pantryWords } from '#words/screens/pantry';
import { Tick } from '../../ui/Tick';
import { typedNumber } from '../../form/typed';
import { Field } from '../../ui/Field';
import { AllergenFields, type AllergenAnswer } from './AllergenFields';
import { COMPONENT_WORDS, HAZARD_WORDS } from './words';
import { KeepLine } from './KeepLine';
import { ThicknessChoice } from './ThicknessChoice';

/** A row of our own that begins as a copy; it says so. */
export function copiedRow(ingredient: Ingredient, id: string): OwnIngredient {
  const notes = notesOf(ingredient);
  return {
    id: id as IngredientId,
    name: pantryWords.nameOurs(ingredient.name).slice(0, 120),
    aliases: [],
    category: ingredient.category,
    spoonDensityGPerMl: ingredient.spoonDensityGPerMl,
    gPer100G: Object.fromEntries(
      COMPONENTS.flatMap((key) => {
        const value = ingredient.composition[key];
        return value > 0 ? [[key, Number((value * 100).toFixed(4))]] : [];
      }),
    ),
    typicalPh: ingredient.typicalPh,
    energyKcalPer100G: ingredient.energyKcalPer100G,
    unitWeightsG: Object.fromEntries(
      Object.entries(ingredient.unitWeightsG).map(([unit, { nominal, low, high }]) => [
        unit,
        [nominal, low, high],
      ]),
    ),
    edibleYieldFraction: ingredient.edibleYieldFraction,
    allergensEu14: [...ingredient.allergensEu14],
    allergensUs9: [...ingredient.allergensUs9],
    allergensMayBeIn: [...ingredient.allergensMayBeIn],
    emulsifierClass: ingredient.emulsifierClass,
    emulsifierNote: notes.emulsifierNote,
    hazards: [...ingredient.hazards],
    traits: [...ingredient.traits],
    // What it was copied from may be another maker's: the question is asked anew.
    byHand: { allergensAnswered: false, phFromLabel: false, keepsUncooled: false },
    keepsOpened: ingredient.keepsOpened,
    strength: ingredient.strength,
    shelfNote: notes.shelfNote,
    proteinBufferMmolPerPhPerG: ingredient.proteinBufferMmolPerPhPerG,
    pungencyIndex: ingredient.pungencyIndex,
    bodyIndex: ingredient.bodyIndex,
    ...(ingredient.emulsion ? { emulsion: ingredient.emulsion } : {}),
    ...(ingredient.structure ? { structure: ingredient.structure } : {}),
    otherSweetnessSucroseGPer100G: ingredient.otherSweetnessAsSucrose * 100,
    tag: 'estimate',
    source: pantryWords.copiedFromNameChangedBy(ingredient.name),
  };
}

/** What was copied keeps its own body until another word is said of it. */
function bodyOf(
  was: OwnIngredient['structure'],
  word: ThicknessClass | '',
  category: Category,
): Pick<OwnIngredient, 'structure'> {
  if (was && word === wordOfBody(was)) return { structure: was };
  return word === '' ? {} : { structure: bodyFromWord(word, category) };
}

const LARGEST_SUM_G = 101;

/** Changes the values of one of our own ingredients. */
export function RowForm({ row, onDone }: { row: OwnIngredient; onDone: () => void }) {
  const [name, setName] = useState(row.name);
  const [density, setDensity] = useState(String(row.spoonDensityGPerMl));
  const [ph, setPh] = useState(row.typicalPh === null ? '' : String(row.typicalPh));
  const [parts, setParts] = useState<Partial<Record<keyof Composition, string>>>(
    Object.fromEntries(COMPONENTS.map((key) => [key, String(row.gPer100G[key] ?? '')])),
  );
  const [hazards, setHazards] = useState<readonly string[]>(row.hazards);
  const [keeps, setKeeps] = useState(row.byHand?.keepsUncooled ?? row.keepsOpened ?? false);
  const [allergens, setAllergens] = useState<AllergenAnswer>({
    named: row.allergensEu14,
    answered: row.byHand?.allergensAnswered ?? row.allergensEu14.length > 0,
  });
  const [thickness, setThickness] = useState<ThicknessClass | ''>(
    row.structure ? wordOfBody(row.structure) : '',
  );
  const [save, saving] = useSaveShared('ingredient');
  const values = COMPONENTS.map((key) => ({
    key,
    value: parts[key]?.trim() ? typedNumber(parts[key], { from: 0 }).value : 0,
  }));
  const sum = values
    .filter(({ key }) => key !== 'fibre' && key !== 'polyol')
    .reduce((total, { value }) => total + (value ?? 0), 0);
  const typedDensity = typedNumber(density, { from: 0.05, to: 2.5 });
  const typedPh = typedNumber(ph, { from: 0, to: 14 });
  const numbers = { density: typedDensity.value, ph: typedPh.value };
  const wrong =
    !name.trim() ||
    values.some(({ value }) => value === null) ||
    sum > LARGEST_SUM_G ||
    !typedDensity.fits ||
    typedPh.wrong;
  return (
    <form
      aria-label={pantryWords.itsValues}
      className="card grid gap-3 p-4"
      onSubmit={(event) => {
        event.preventDefault();
        if (wrong) return;
        const { structure: was, ...rest } = row;
        const next: OwnIngredient = {
          ...rest,
          ...bodyOf(was, thickness, row.category as Category),
          name: name.trim(),
          spoonDensityGPerMl: numbers.density!,
          typicalPh: numbers.ph,
          gPer100G: Object.fromEntries(values.flatMap(({ key, value }) => (value ? [[key, value]] : []))),
          hazards: [...hazards],
          allergensEu14: [...allergens.named],
          allergensUs9: [...new Set(allergens.named.flatMap(usNamesOf))],
          byHand: {
            allergensAnswered: allergens.answered,
            // A pH that was typed here is the label's; one that came with the copy is another thing's.
            phFromLabel: row.byHand?.phFromLabel === true || numbers.ph !== row.typicalPh,
            keepsUncooled: keeps,
          },
        };
        // What would not load again is not sent.
        ingredientFromRow(next);
        save(row.id, row, next).then(onDone, () => undefined);
      }}
    >
      <Field
        label={pantryWords.name}
        value={name}
        onText={setName}
        maxLength={120}
        problem={name.trim() ? '' : pantryWords.itNeedsAName}
      />
      <div className="grid grid-cols-[minmax(0,1fr)] gap-3 sm:grid-cols-2">
        <Field
          label={pantryWords.aSpoonHoldsGPer}
          value={density}
          onText={setDensity}
          inputMode="decimal"
          hint={pantryWords.n005To25}
        />
        <Field
          label={pantryWords.ph}
          value={ph}
          onText={setPh}
          inputMode="decimal"
          hint={pantryWords.emptyWhereItIsDry}
        />
      </div>
      <fieldset>
        <legend className="font-semibold">{pantryWords.per100G}</legend>
        <div className="grid grid-cols-2 gap-x-4 gap-y-1 sm:grid-cols-3">
          {values.map(({ key, value }) => (
            <Field
              key={key}
              label={COMPONENT_WORDS[key]}
              className="text-sm"
              inputMode="decimal"
              value={parts[key] ?? ''}
              problem={value === null ? pantryWords.aNumberOfGrams : ''}
              onText={(text) => {
                setParts((now) => ({ ...now, [key]: text }));
              }}
            />
          ))}
        </div>
        <p className={`mt-1 text-sm ${sum > LARGEST_SUM_G ? 'text-acid-ink' : 'text-quiet'}`}>
          {pantryWords.togetherSumGOf100(
            sum.toFixed(1),
            sum > LARGEST_SUM_G ? pantryWords.moreThanThereIsLower : pantryWords.theRestIsReckonedAs,
          )}
        </p>
      </fieldset>
      <ThicknessChoice value={thickness} onChange={setThickness} />
      <AllergenFields answer={allergens} onAnswer={setAllergens} />
      <Tick
        label={pantryWords.itsLabelSaysThatIt}
        checked={keeps}
        onChange={(checked) => {
          setKeeps(checked);
        }}
      />
      <fieldset>
        <legend className="font-semibold">{pantryWords.care}</legend>
        <div className="flex flex-wrap gap-x-4">
          {HAZARDS.map((hazard) => (
            <Tick
              key={hazard}
              label={HAZARD_WORDS[hazard]}
              checked={hazards.includes(hazard)}
              onChange={(checked) => {
                setHazards(checked ? [...hazards, hazard] : hazards.filter((other) => other !== hazard));
              }}
              className="text-sm"
            />
          ))}
        </div>
      </fieldset>
      <KeepLine label={pantryWords.keep} disabled={wrong} saving={saving} onLeave={onDone} />
    </form>
  );
}
