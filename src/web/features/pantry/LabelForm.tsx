import { useSaveShared } from '../../sync/useSaveShared';
import { useState } from 'react';
import { Link, useNavigate } from 'react-router';
import type { OwnIngredient } from '#contract';
import {
  CATEGORIES,
  findIngredient,
  ingredientFromLabel,
  type Category,
  type LabelReading,
  type LabelValues,
  type ThicknessClass,
} from '#core/ingredient';
import { sayLabelProblem } from '#words/reading';
import { pantryWords } from '#words/screens/pantry';
import { Tick } from '../../ui/Tick';
import { typedNumber } from '../../form/typed';
import { newId } from '../../sync/device';
import type { Kitchen } from '#kitchen/reading';
import { Choice } from '../../ui/Choice';
import { Field } from '../../ui/Field';
import { AllergenFields, type AllergenAnswer } from './AllergenFields';
import { CATEGORY_WORDS } from './words';
import { KeepLine } from './KeepLine';
import { ThicknessChoice } from './ThicknessChoice';

const FIGURES = [
  { key: 'fatG', label: pantryWords.fatG, needed: true },
  { key: 'carbohydrateG', label: pantryWords.carbohydrateG, needed: true },
  { key: 'sugarsG', label: pantryWords.ofItSugarsG, needed: true },
  { key: 'proteinG', label: pantryWords.proteinG, needed: true },
  { key: 'saltG', label: pantryWords.saltG, needed: true },
  { key: 'acidityGPer100Ml', label: pantryWords.acidity, needed: false },
  { key: 'densityGPerMl', label: pantryWords.gPerMlIfKnown, needed: false },
  { key: 'ph', label: pantryWords.phIfKnown, needed: false },
] as const;
type FigureKey = (typeof FIGURES)[number]['key'];
const LIMITS: Partial<Record<FigureKey, readonly [number, number]>> = {
  densityGPerMl: [0.05, 2.5],
  ph: [0, 14],
};

/** An ingredient of our own from its label: asks only what a label says, and says what it had to guess. */
export function LabelForm({ kitchen }: { kitchen: Kitchen }) {
  const [id] = useState(() => `own_${newId()}`);
  const [name, setName] = useState('');
  const [category, setCategory] = useState<Category>('savoury');
  const [per, setPer] = useState<LabelValues['per']>('100 g');
  const [figures, setFigures] = useState<Partial<Record<FigureKey, string>>>({});
  const [allergens, setAllergens] = useState<AllergenAnswer>({ named: [], answered: false });
  const [keeps, setKeeps] = useState(false);
  const [thickness, setThickness] = useState<ThicknessClass | ''>('');
  const [save, saving] = useSaveShared('ingredient');
  const navigate = useNavigate();

  const values = new Map(
    FIGURES.map(({ key, needed }) => [key, readFigure(key, figures[key] ?? '', needed)]),
  );
  const complete = [...values.values()].every((value) => value !== 'wrong' && value !== 'missing');
  const number = (key: FigureKey): number | null => {
    const value = values.get(key);
    return typeof value === 'number' ? value : null;
  };
  const reading: LabelReading | null =
    complete && name.trim()
      ? ingredientFromLabel({
          id,
          name: name.trim(),
          category,
          per,
          fatG: number('fatG') ?? 0,
          carbohydrateG: number('carbohydrateG') ?? 0,
          sugarsG: number('sugarsG') ?? 0,
          proteinG: number('proteinG') ?? 0,
          saltG: number('saltG') ?? 0,
          acidityGPer100Ml: number('acidityGPer100Ml'),
          densityGPerMl: number('densityGPerMl'),
          ph: number('ph'),
          allergensEu14: allergens.named,
          allergensAnswered: allergens.answered,
          keepsUnopened: keeps,
          thickness: thickness === '' ? null : thickness,
        })
      : null;
  const found = findIngredient(name, kitchen.catalogue);
  const taken = name.trim() && found.status === 'found' && !found.guessed ? found.ingredient.name : null;
  return (
    <div className="mx-auto max-w-3xl pt-1">
      <Link to="/pantry" className="text-sm font-semibold text-leaf underline">
        {pantryWords.pantry}
      </Link>
      <form
        className="card mt-1 grid gap-4 p-5"
        onSubmit={(event) => {
          event.preventDefault();
          if (reading?.status !== 'read') return;
          save(id, null, reading.row as OwnIngredient).then(
            () => navigate(`/pantry/${id}`),
            () => undefined,
          );
        }}
      >
        <h1 className="font-name text-2xl font-bold">{pantryWords.ourOwnIngredientFromIts}</h1>
        <div className="grid grid-cols-[minmax(0,1fr)] gap-3 sm:grid-cols-2">
          <Field
            label={pantryWords.name}
            autoFocus
            value={name}
            onText={setName}
            maxLength={120}
            hint={taken ? pantryWords.thePantryHasTakenAnother(taken) : pantryWords.noBrandNeeded}
          />
          <div className="grid content-start gap-1">
            <span className="font-semibold">{pantryWords.whatKindOfThing}</span>
            <Choice
              label={pantryWords.whatKindOfThing}
              value={category}
              options={CATEGORIES.map((value) => ({ value, label: CATEGORY_WORDS[value] }))}
              onChange={setCategory}
            />
          </div>
        </div>
        <fieldset>
          <legend className="mb-1 flex items-center gap-3 font-semibold">
            {pantryWords.theLabelSFiguresPer}
            <Choice
              label={pantryWords.theLabelSFiguresPer}
              value={per}
              options={[
                { value: '100 g', label: '100 g' },
                { value: '100 ml', label: pantryWords.n100Ml },
              ]}
              onChange={setPer}
            />
          </legend>
          <div className="grid grid-cols-2 gap-3 sm:grid-cols-4">
            {FIGURES.map(({ key, label }) => (
              <Field
                key={key}
                label={label}
                className="text-sm"
                inputMode="decimal"
                value={figures[key] ?? ''}
                problem={values.get(key) === 'wrong' ? sayLimits(key) : ''}
                onText={(text) => {
                  setFigures((now) => ({ ...now, [key]: text }));
                }}
              />
            ))}
          </div>
        </fieldset>
        <ThicknessChoice value={thickness} onChange={setThickness} />
        <AllergenFields answer={allergens} onAnswer={setAllergens} />
        <Tick
          label={pantryWords.itKeepsByItselfIn}
          checked={keeps}
          onChange={(checked) => {
            setKeeps(checked);
          }}
        />
        <p role="status" className="min-h-5 text-sm">
          {sayReading(reading, complete, name)}
        </p>
        <KeepLine
          label={pantryWords.putItInThePantry}
          disabled={reading?.status !== 'read'}
          saving={saving}
        />
      </form>
    </div>
  );
}

type Figure = number | 'wrong' | 'missing' | 'unknown';

function readFigure(key: FigureKey, text: string, needed: boolean): Figure {
  if (!text.trim()) return needed ? 'missing' : 'unknown';
  const [from, to] = LIMITS[key] ?? [0, 100];
  return typedNumber(text, { from, to }).value ?? 'wrong';
}

function sayLimits(key: FigureKey): string {
  const [low, high] = LIMITS[key] ?? [0, 100];
  return pantryWords.aNumberFromLowTo(low, high);
}

function sayReading(reading: LabelReading | null, complete: boolean, name: string): string {
  if (!reading) {
    if (!name.trim()) return pantryWords.giveItANameThen;
    return complete ? '' : pantryWords.fatCarbohydrateSugarsProteinAnd;
  }
  if (reading.status === 'unread') return sayLabelProblem(reading.problem);
  const water = reading.row.gPer100G.water ?? 0;
  return pantryWords.reckonedWithWaterWaterAnd(
    water.toFixed(0),
    reading.row.spoonDensityGPerMl.toFixed(2),
    reading.guessed.join(', '),
  );
}
