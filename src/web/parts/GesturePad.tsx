import { useMemo, useState } from 'react';
import { likelyGestures, type MayAdd } from '#core/balance';
import { readLine, type ReadingContext } from '#core/formula';
import type { JudgedPortion } from '#core/reckoning';
import type { TrialLine } from '#core/trial';
import { sayDose } from '#words/balance';
import { formatAmount, type NumberStyle } from '#words/numbers';
import { sayProblem } from '#words/reading';
import { partsWords } from '#words/screens/parts';
import { Button } from '../ui/Button';
import { Field } from '../ui/Field';

interface GesturePadProps {
  readonly portions: readonly JudgedPortion[];
  readonly mayAdd: readonly MayAdd[];
  readonly context: ReadingContext;
  readonly settings: NumberStyle;
  /** What went in, and how it is said. */
  readonly onPut: (line: TrialLine, said: string) => void;
}

/** One more pinch, at any time: each press is a gesture that goes into the jar, anything else is said. */
export function GesturePad({ portions, mayAdd, context, settings, onPut }: GesturePadProps) {
  const [said, setSaid] = useState('');
  const massG = portions.reduce((sum, portion) => sum + portion.massG.nominal, 0);
  const likely = useMemo(() => likelyGestures(mayAdd, massG), [mayAdd, massG]);
  const line = said.trim() ? readLine(said, context) : null;
  const read = line?.reading.status === 'read' && line.reading.massG.nominal > 0 ? line.reading : null;
  const put = (): void => {
    if (!line || !read) return;
    onPut({ ingredientId: read.ingredient.id, form: line.form, massG: read.massG.nominal }, said.trim());
    setSaid('');
  };
  return (
    <section aria-label={partsWords.inByHand} className="grid gap-3" data-testid="gestures">
      <div className="grid grid-cols-2 gap-4 sm:grid-cols-4">
        {likely.map(({ mayAdd: one, gesture }) => {
          const words = sayDose({ mayAdd: one, massG: gesture.massG, gesture });
          return (
            <Button
              key={one.ingredient.id}
              className="min-h-16 px-2 text-left leading-tight"
              onClick={() => {
                onPut({ ingredientId: one.ingredient.id, form: one.form, massG: gesture.massG }, words);
              }}
            >
              <span>
                {words}
                <span className="block text-sm font-normal text-quiet">
                  {partsWords.gramsOfWhat(formatAmount(gesture.massG, 'g', settings))}
                </span>
              </span>
            </Button>
          );
        })}
      </div>
      <form
        className="flex flex-wrap items-start gap-3"
        onSubmit={(event) => {
          event.preventDefault();
          put();
        }}
      >
        <Field
          label={partsWords.orSayWhatWentIn}
          className="min-w-52 flex-1"
          placeholder={partsWords.aPinchOfCumin}
          value={said}
          onText={setSaid}
          problem={said.trim() && line?.reading.status === 'unread' ? sayProblem(line.reading.problem) : null}
        />
        <Button type="submit" className="mt-6 min-h-16 px-5" disabled={!read}>
          {read
            ? `${partsWords.itIsIn}, ${partsWords.gramsOfWhat(formatAmount(read.massG.nominal, 'g', settings))}`
            : partsWords.itIsIn}
        </Button>
      </form>
      <p className="text-sm text-quiet">{partsWords.onePressOneGesture}</p>
    </section>
  );
}
