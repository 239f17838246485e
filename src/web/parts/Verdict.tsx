import { useMemo } from 'react';
import { complaintOf, type Remedy, type RemedyRequest } from '#core/balance';
import type { ReadingContext } from '#core/formula';
import type { IngredientId } from '#core/ingredient';
import { verdictOf, type Style } from '#core/palate';
import type { Judgement } from '#core/reckoning';
import { mendsFrom, roomToMend, type Kitchen } from '#kitchen/reading';
import { COMPLAINT_WORDS, sayDoses } from '#words/balance';
import { A_HAIR, sayReason, sayScore } from '#words/palate';
import { partsWords } from '#words/screens/parts';
import { Button } from '../ui/Button';
import { useSearch } from '../workers/useSearch';

interface VerdictProps {
  readonly style: Style;
  /** Nobody chose it: it fits best. */
  readonly fitted: boolean;
  readonly judgement: Judgement;
  readonly kitchen: Kitchen;
  readonly context: Pick<ReadingContext, 'measuring'>;
  readonly roomMl: number;
  readonly locked: ReadonlySet<IngredientId>;
  readonly onStyle: () => void;
  /** Left out: nothing is taken from here. */
  readonly onTake?: (remedy: Remedy) => void;
}

/** One sentence: what the dressing is in its style, what leads among what is off, and what a cook would do. */
export function Verdict(props: VerdictProps) {
  const { style, fitted, judgement, kitchen, context, roomMl, locked, onStyle, onTake } = props;
  const verdict = useMemo(() => verdictOf(judgement.palate, style), [judgement, style]);
  const asked = useMemo(
    () =>
      verdict.score >= A_HAIR
        ? null
        : (verdict.reasons.flatMap((reason) => complaintOf(reason) ?? [])[0] ?? null),
    [verdict],
  );
  const question = useMemo(
    (): RemedyRequest | null =>
      asked && {
        portions: judgement.portions,
        ...asked,
        style,
        ...roomToMend(judgement.portions, roomMl, false),
        ...mendsFrom(judgement.portions, kitchen, context, locked),
      },
    [asked, judgement, style, roomMl, kitchen, context, locked],
  );
  const { search } = useSearch('remedies', question);
  const remedy = search.status === 'done' ? search.answer.remedies[0] : undefined;
  return (
    <div className="mb-1 flex flex-wrap items-center gap-x-3 gap-y-1 text-sm">
      <button
        type="button"
        className="min-h-6 rounded-md text-left underline decoration-rule decoration-2 underline-offset-4 hover:decoration-leaf"
        data-testid="aim"
        title={verdict.reasons.map(sayReason).join('\n')}
        onClick={onStyle}
      >
        <span data-testid="verdict">
          {fitted
            ? partsWords.fitsBest(style.name, sayScore(verdict))
            : partsWords.inStyle(style.name, sayScore(verdict))}
        </span>
      </button>
      {asked && (
        <span className="flex flex-wrap items-center gap-2" data-testid="advice">
          <strong>
            {COMPLAINT_WORDS[asked.complaint]}
            {remedy ? `: ${sayDoses(remedy.doses)}.` : '.'}
          </strong>
          {remedy && onTake && (
            <Button
              className="min-h-7"
              onClick={() => {
                onTake(remedy);
              }}
            >
              {partsWords.addIt}
            </Button>
          )}
        </span>
      )}
    </div>
  );
}
