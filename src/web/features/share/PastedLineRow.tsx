import type { PastedLine } from '#core/interchange';
import { inSentence } from '#words/numbers';
import { sayDoubt, sayProblem } from '#words/reading';
import { shareWords } from '#words/screens/share';
import { Button } from '../../ui/Button';

const CONFIDENCE_WORDS = {
  sure: shareWords.read,
  check: shareWords.lookAgain,
  ask: shareWords.notRead,
} as const;
const CONFIDENCE_LOOK = {
  sure: 'border-aroma-ink text-aroma-ink',
  check: 'border-oil-ink text-oil-ink',
  ask: 'border-acid-ink text-acid-ink',
} as const;

/** A line as it stood, and what was read of it. */
export function LineRow({
  line,
  text,
  grams,
  onText,
}: {
  line: PastedLine;
  text: string;
  grams: (g: number) => string;
  onText: (words: string) => void;
}) {
  const { confidence, near, line: read } = line;
  const { reading } = read;
  return (
    <li className="grid gap-x-4 gap-y-1 border-t border-rule py-2 sm:grid-cols-[minmax(0,1fr)_minmax(0,1fr)]">
      <input
        className="field self-start"
        aria-label={shareWords.lineSource(line.source)}
        maxLength={400}
        value={text}
        onChange={({ target }) => {
          onText(target.value);
        }}
      />
      <div>
        <span className={`mr-2 rounded border px-1.5 text-sm font-semibold ${CONFIDENCE_LOOK[confidence]}`}>
          {CONFIDENCE_WORDS[confidence]}
        </span>
        {reading.status === 'read' ? (
          <>
            {reading.massG.nominal > 0 ? grams(reading.massG.nominal) : shareWords.toTaste}{' '}
            <strong>{inSentence(reading.ingredient.name)}</strong>
            {read.form && `, ${read.form}`}
            {reading.doubts.map((doubt, i) => (
              <span key={i} className="block text-sm text-quiet">
                {sayDoubt(doubt)}
              </span>
            ))}
          </>
        ) : (
          <span className="text-sm">{sayProblem(reading.problem)}</span>
        )}
        {confidence === 'ask' && near.length > 0 && (
          <span className="mt-1 flex flex-wrap gap-1">
            {near.map((ingredient) => (
              <Button
                key={ingredient.id}
                className="text-sm"
                onClick={() => {
                  onText(`${read.amountText} ${ingredient.name}${read.form ? `, ${read.form}` : ''}`.trim());
                }}
              >
                {ingredient.name}
              </Button>
            ))}
          </span>
        )}
        {reading.status === 'unread' && reading.problem.code === 'unknown-ingredient' && (
          <a
            href="/pantry"
            target="_blank"
            rel="noreferrer"
            className="flex min-h-8 items-center text-sm text-leaf underline"
          >
            {shareWords.enterItInThePantry}
          </a>
        )}
      </div>
    </li>
  );
}
