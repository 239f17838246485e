import { useMemo, type ReactNode } from 'react';
import { type Finding, type Remedy, type RemedyRequest } from '#core/balance';
import { adviceOf, landsRight } from '#core/balance';
import type { ReadingContext } from '#core/formula';
import type { IngredientId } from '#core/ingredient';
import type { JudgedPortion } from '#core/reckoning';
import { mendsFrom, roomToMend, type Kitchen } from '#kitchen/reading';
import { sayDoses } from '#words/balance';
import { sayFinding } from '#words/finding';
import { sayReason } from '#words/palate';
import { partsWords } from '#words/screens/parts';
import { Button } from '../ui/Button';
import { useSearch } from '../workers/useSearch';

export type Tone = 'grave' | 'off' | 'right' | 'plain';
const TONES: Readonly<Record<Tone, string>> = {
  grave: 'border-l-acid bg-acid-wash',
  off: 'border-l-sweet',
  right: 'border-l-leaf',
  plain: 'border-l-edge',
};

interface FirstStripProps {
  readonly tone: Tone;
  readonly sentence: ReactNode;
  /** What to do about it, as a hand does it. */
  readonly advice?: string | null;
  /** Room is kept for large buttons, so that nothing beneath moves when they come. */
  readonly tall?: boolean;
  /** One button that does it, and what else there is. */
  readonly children: ReactNode;
}
/** The one thing that is to be said first; on a phone it stays in sight. */
export function FirstStrip({ tone, sentence, advice, tall = false, children }: FirstStripProps) {
  return (
    <section
      aria-label={partsWords.first}
      className={`card sticky top-0 z-20 flex min-h-16 flex-wrap items-center gap-x-4 gap-y-1.5 border-l-4 px-4 py-2 lg:static lg:flex-nowrap print:static ${tall ? 'lg:min-h-21' : ''} ${TONES[tone]}`}
    >
      <div className="flex min-w-0 flex-1 basis-72 flex-wrap items-baseline gap-x-4 gap-y-0.5">
        <p
          role="status"
          className="font-name min-w-0 text-lg leading-snug font-bold [overflow-wrap:anywhere] sm:text-xl"
          data-testid="first"
        >
          {sentence}
        </p>
        {advice && (
          <p className="min-w-0" data-testid="advice">
            {advice}
          </p>
        )}
      </div>
      <span className="ml-auto flex shrink-0 flex-wrap gap-4 empty:hidden print:hidden">{children}</span>
    </section>
  );
}

interface FirstSentenceProps {
  readonly finding: Finding;
  /** Nobody chose the style: it fits best. */
  readonly fitted: boolean;
  /** What a cook would do about it, as far as it has been found. */
  readonly remedy: Remedy | null;
  readonly onStyle: () => void;
  readonly onTake: (remedy: Remedy) => void;
  /** What else can be done, a press and a key away. */
  readonly children: ReactNode;
}

const toneOf = ({ kind }: Finding): Tone =>
  kind === 'unsafe' || kind === 'split' ? 'grave' : kind === 'right' || kind === 'off' ? kind : 'plain';

/** What leads of a finding, with the one thing to do about it. */
export function FirstSentence(props: FirstSentenceProps) {
  const { finding, fitted, remedy, onStyle, onTake, children } = props;
  const { before, style, after } = sayFinding(finding, fitted);
  const reasons = 'verdict' in finding ? finding.verdict.reasons : [];
  const sentence = (
    <>
      {before}
      {style === null ? '' : ' '}
      <button
        type="button"
        className={
          style === null
            ? 'sr-only focus:not-sr-only'
            : 'rounded-md font-bold underline decoration-edge decoration-2 underline-offset-4 hover:decoration-leaf'
        }
        data-testid="aim"
        title={reasons.map(sayReason).join('\n')}
        onClick={onStyle}
      >
        {style ?? partsWords.chooseAStyle}
      </button>
      {after}
    </>
  );
  return (
    <FirstStrip
      tone={toneOf(finding)}
      sentence={sentence}
      advice={
        remedy && partsWords.advice(sayDoses(remedy.doses), remedy.partial === true || !landsRight(remedy))
      }
    >
      {remedy && (
        <Button
          kind="main"
          className="min-h-11"
          onClick={() => {
            onTake(remedy);
          }}
        >
          {partsWords.addIt}
        </Button>
      )}
      {children}
    </FirstStrip>
  );
}

interface AdviceOn {
  readonly finding: Finding;
  readonly portions: readonly JudgedPortion[];
  readonly kitchen: Kitchen;
  readonly context: Pick<ReadingContext, 'measuring'>;
  readonly roomMl: number;
  readonly locked: ReadonlySet<IngredientId>;
}
/** What a cook would do about what is said first; null until it is found, and where nothing answers it. */
export function useAdvice({ finding, portions, kitchen, context, roomMl, locked }: AdviceOn): Remedy | null {
  const asked = finding.kind === 'off' ? finding.asked : null;
  const style = finding.kind === 'off' ? finding.style : null;
  const question = useMemo(
    (): RemedyRequest | null =>
      asked && {
        portions,
        ...asked,
        style,
        ...roomToMend(portions, roomMl, false),
        ...mendsFrom(portions, kitchen, context, locked),
      },
    [asked, portions, style, roomMl, kitchen, context, locked],
  );
  const { search } = useSearch('remedies', question);
  return search.status === 'done' ? adviceOf(search.answer.remedies) : null;
}
