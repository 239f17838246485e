import type { FormulateAnswer, Rounding } from '#core/balance';
import { sayInTheWay, sayMissed, sayVariant } from '#words/balance';
import type { Ingredient } from '#core/ingredient';
import type { PalateKey, Style } from '#core/palate';
import { MEASURE_WORDS } from '#words/palate';
import { allergenNames } from '#words/safety';
import { fromPantryWords } from '#words/screens/fromPantry';
import { CautionLines } from '../../parts/CautionLines';
import { componentOf } from '#core/ingredient';
import { palateOf } from '#core/palate';
import { exactly } from '#core/quantity';
import type { Settings } from '#contract';
import { ComponentMark } from '../../parts/drawing/ComponentMark';
import { Track } from '../../parts/drawing/Track';
import { formatAmount, inSentence } from '#words/numbers';
import { MARKS, showMeasure } from '#words/judgement';

interface AnswerColumnProps {
  readonly answer: FormulateAnswer;
  readonly rounding: Rounding;
  readonly style: Style | null;
  readonly settings: Settings;
  readonly say: (line: number, massG: number, ingredient: Ingredient) => string;
}

const SHOWN: readonly PalateKey[] = ['acid', 'fat', 'salt', 'sweet', 'body'];

/** Less than this is not worth a sentence. */
const NOTICED_STEPS = 0.25;

/** One answer: amounts as they can be measured, how it sits, and what it could not reach. */
export function AnswerColumn({ answer, rounding, style, settings, say }: AnswerColumnProps) {
  const { variant, portions, state, inTheWay } = answer;
  const missed = answer.missed.filter(({ steps }) => steps >= NOTICED_STEPS);
  const rounded = palateOf(
    portions.map((portion, i) => ({ ...portion, massG: exactly(rounding.lines[i]!.massG) })),
  );
  const way = sayInTheWay(inTheWay);
  const allergens = allergenNames(state.judgement.allergens);
  return (
    <div className="flex-1">
      <h2 className="font-name mb-2 font-bold">{sayVariant(variant)}</h2>
      <ul className="mb-3 grid gap-1">
        {portions.map(({ ingredient, massG }, line) => (
          <li key={ingredient.id} className="flex items-start gap-2 text-[0.9375rem] leading-5">
            <ComponentMark component={componentOf(ingredient)} />
            <span>
              <strong>{say(line, massG.nominal, ingredient)}</strong> {inSentence(ingredient.name)}
              {rounding.lines[line]!.how === 'spoons' && (
                <span className="text-quiet">
                  {' '}
                  {formatAmount(rounding.lines[line]!.massG, 'g', settings)}
                </span>
              )}
            </span>
          </li>
        ))}
      </ul>
      <ul className="grid gap-1.5">
        {SHOWN.filter((key) => style?.windows[key]).map((key) => (
          <li key={key}>
            <p className="flex justify-between gap-2 text-[0.8125rem] leading-5">
              <span>{MEASURE_WORDS[key].title}</span>
              <span>{showMeasure(key, rounded[key].value, settings.decimalSign)}</span>
            </p>
            <Track
              component={MARKS[key]}
              value={rounded[key].value}
              window={style?.windows[key]}
              label={`${MEASURE_WORDS[key].title} ${showMeasure(key, rounded[key].value, settings.decimalSign)}`}
            />
          </li>
        ))}
      </ul>
      {missed.length > 0 && (
        <p className="mt-2 border-l-4 border-l-sweet pl-2 text-sm" data-testid="missed">
          {missed.map(sayMissed).join(' ')} {way}
        </p>
      )}
      <p className="mt-2 text-sm text-quiet">
        {formatAmount(state.mixedVolumeMl * rounding.volumeFactor, 'ml', settings)}.{' '}
        {allergens.length > 0 ? fromPantryWords.allergensAllergens(allergens.join(', ')) : ''}
      </p>
      <div className="mt-1 text-sm">
        <CautionLines of={state.judgement} />
      </div>
    </div>
  );
}
