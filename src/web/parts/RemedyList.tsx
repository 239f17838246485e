import type { ReactNode } from 'react';
import { withDoses, type Remedy, type RemedyAnswer } from '#core/balance';
import { costOf } from '#core/composition';
import type { Ingredient } from '#core/ingredient';
import type { Style } from '#core/palate';
import { packPriceOf, type Kitchen } from '#kitchen/reading';
import type { JudgedPortion } from '#core/reckoning';
import { ASIDE_WORDS, PLAN_WORDS, COMPLAINT_WORDS, sayDoses, sayEnough, sayImpossible } from '#words/balance';
import { formatMoney, inSentence } from '#words/numbers';
import { partsWords } from '#words/screens/parts';
import { ChangeEffect } from './ChangeEffect';

interface RemedyListProps {
  readonly answer: RemedyAnswer;
  readonly portions: readonly JudgedPortion[];
  readonly style: Style | null;
  readonly kitchen: Kitchen;
  readonly say: (massG: number, ingredient: Ingredient) => string;
  readonly narrow?: boolean;
  /** What the hold does, under each. */
  readonly holdMove?: (index: number) => string;
  /** What can be done with each. */
  readonly actions: (remedy: Remedy, index: number) => ReactNode;
  /** What can be done about one that does not fit. */
  readonly beyond?: (why: RemedyAnswer['impossible'][number]) => ReactNode;
}

/** Ways to mend, best first: the gestures, where enough ends, and what each moves. */
export function RemedyList(props: RemedyListProps) {
  const { answer, portions, style, kitchen, say, narrow = false, holdMove, actions, beyond } = props;
  const { remedies, impossible, complaint, alone } = answer;
  const aside = ASIDE_WORDS[complaint];
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] gap-3">
      {alone.length > 1 && remedies.length > 0 && (
        <p className="text-sm text-quiet" data-testid="alone">
          {partsWords.byThemselves(
            alone
              .map(({ complaint: one, remedy }) =>
                remedy
                  ? partsWords.oneTakes(inSentence(COMPLAINT_WORDS[one]), sayDoses(remedy.doses, say))
                  : partsWords.oneTakesNothing(inSentence(COMPLAINT_WORDS[one])),
              )
              .join('; '),
          )}
        </p>
      )}
      <ol className="grid gap-3" data-testid={narrow ? 'mends' : 'ways'}>
        {remedies.map((remedy, index) => (
          <li key={index} className="rounded-lg border border-l-4 border-rule border-l-leaf bg-paper p-3">
            <div
              className={`mb-2 flex flex-wrap items-start justify-between gap-3 ${narrow ? '' : 'sm:flex-nowrap'}`}
            >
              <p className="min-w-0">
                <strong className="font-name text-[1.1rem]">{sayDoses(remedy.doses, say)}</strong>{' '}
                <span className="text-sm text-quiet">
                  {remedy.partial ? partsWords.partOfTheWay : PLAN_WORDS[remedy.planId]}
                </span>
              </p>
              {!narrow && actions(remedy, index)}
            </div>
            <Enough remedy={remedy} />
            <ChangeEffect
              before={answer.before.judgement.palate}
              keepingBefore={answer.before.judgement.keeping}
              effect={remedy.effect}
              style={style}
              settings={kitchen.settings}
              narrow={narrow}
            />
            {holdMove && (
              <p className="mt-1 text-sm" data-testid="hold-move">
                {holdMove(index)}
              </p>
            )}
            <CostOf remedy={remedy} kitchen={kitchen} portions={portions} />
            {narrow && actions(remedy, index)}
          </li>
        ))}
      </ol>
      {impossible.length > 0 && (
        <ul className="grid gap-1 text-sm" data-testid="impossible">
          {impossible.map((why, index) => (
            <li key={index}>
              <strong>{PLAN_WORDS[why.planId]}:</strong> {sayImpossible(why, say, answer.aQuarter)}
              {beyond?.(why)}
            </li>
          ))}
        </ul>
      )}
      {aside && <p className="text-sm text-quiet">{aside}</p>}
    </div>
  );
}

/** Where each gesture is too much. */
function Enough({ remedy }: { remedy: Remedy }) {
  const ends = remedy.doses.flatMap((dose) => sayEnough(dose) ?? []);
  if (ends.length === 0) return null;
  return (
    <p className="mb-1 text-sm" data-testid="enough">
      {ends.join(' ')}
    </p>
  );
}

function CostOf({
  remedy,
  kitchen,
  portions,
}: {
  remedy: Remedy;
  kitchen: Kitchen;
  portions: readonly JudgedPortion[];
}) {
  const added = withDoses(portions, remedy.doses).slice(portions.length);
  const { total, lines, unpriced } = costOf(added, packPriceOf(kitchen.pantry));
  // Less than half a cent is nothing to say.
  if (lines.every(({ cost }) => cost === 0) || total < 0.005) return null;
  return (
    <p className="mt-1 text-sm text-quiet">
      {partsWords.costsTotalMore(formatMoney(total, kitchen.settings))}
      {unpriced.length > 0 && partsWords.notCountingWhatHasNo}.
    </p>
  );
}
