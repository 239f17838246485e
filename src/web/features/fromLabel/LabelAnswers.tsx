import type { LabelOutcome } from '#core/label';
import { sayLabelTrouble } from '#words/fromLabel';
import { sayDiffers } from '#words/palate';
import { formatAmount, inSentence, type NumberStyle } from '#words/numbers';
import { ADDITIVE_WORDS, fromLabelWords } from '#words/screens/fromLabel';
import { WayCard, WayCards } from '../../parts/WayCards';

interface LabelAnswersProps {
  readonly outcome: LabelOutcome;
  readonly settings: NumberStyle;
  readonly busy: boolean;
  readonly onOpen: (answer: LabelOutcome['answers'][number]) => void;
}

/** What fits the label, each thing with its interval; or why nothing does. */
export function LabelAnswers({ outcome, settings, busy, onOpen }: LabelAnswersProps) {
  const { answers, impossible, leftOut } = outcome;
  const grams = (g: number): string => formatAmount(g, 'g', settings);
  return (
    <>
      {impossible.map((trouble) => (
        <p key={trouble.code} role="alert" className="text-lg font-semibold" data-testid="impossible">
          {sayLabelTrouble(trouble)}
        </p>
      ))}
      <WayCards testId="label-answers">
        {answers.map((answer, place) => (
          <WayCard
            key={place}
            title={titleOf(outcome, place)}
            use={fromLabelWords.openAsADraft}
            first={place === 0}
            busy={busy}
            onUse={() => {
              onOpen(answer);
            }}
          >
            <ul className="grid text-sm">
              {answer.additions.map(({ ingredient, partOf, gPer100G, low, high }, line) => (
                // One thing may stand there twice, in another and for itself.
                <li key={line} className="border-t border-rule py-1">
                  <strong>{inSentence(ingredient.name)}</strong>{' '}
                  {partOf !== null && fromLabelWords.partOf(inSentence(partOf))}
                  <span className="block">
                    {fromLabelWords.amountWithin(grams(gPer100G), grams(low), grams(high))}
                  </span>
                </li>
              ))}
            </ul>
            <p className="text-sm text-quiet">
              {answer.misfit < 0.005
                ? fromLabelWords.fits
                : fromLabelWords.nearly(`${(answer.misfit * 100).toFixed(1)} %`)}
            </p>
            {place > 0 && (
              <p className="text-sm" data-testid="differs">
                {answer.differs.length > 0
                  ? fromLabelWords.against(sayDiffers(answer.differs))
                  : fromLabelWords.sameTaste}
              </p>
            )}
          </WayCard>
        ))}
      </WayCards>
      {leftOut.length > 0 && (
        <section aria-label={fromLabelWords.leftOut} data-testid="left-out">
          <h3 className="font-semibold">{fromLabelWords.leftOut}</h3>
          <ul className="text-sm">
            {leftOut.map(({ text, additive }, line) => (
              <li key={line}>{fromLabelWords.leftOutAs(text, ADDITIVE_WORDS[additive])}</li>
            ))}
          </ul>
        </section>
      )}
      {answers.length > 0 && <p className="text-sm text-quiet">{fromLabelWords.anEstimate}</p>}
    </>
  );
}

/** By the thing that has most room: the first answer is its middle, the others its ends. */
function titleOf({ answers }: LabelOutcome, place: number): string {
  if (place === 0) return fromLabelWords.middle;
  const rooms = answers[0]!.additions.map(({ low, high }) => high - low);
  const name = answers[0]!.additions[rooms.indexOf(Math.max(...rooms))]!.ingredient.name.split(',')[0]!;
  return place === 1 ? fromLabelWords.oneEnd(inSentence(name)) : fromLabelWords.otherEnd(inSentence(name));
}
