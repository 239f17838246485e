import type { Judgement } from '#core/reckoning';
import type { Caution } from '#core/safety';
import { composeBalanceWords } from '#words/screens/composeBalance';
import { CautionLines } from '../../parts/CautionLines';

const TIER_LOOK: Record<Caution['tier'], string> = {
  1: 'border-l-acid',
  2: 'border-l-sweet',
  3: 'border-l-rule',
};

/** Two lines at most; everything else is a press away. */
export function CautionBox({ judgement, onAll }: { judgement: Judgement; onAll: () => void }) {
  const [gravest] = judgement.cautions;
  return (
    <div
      className={`mt-2 border-l-4 bg-acid-wash px-3 py-2 text-[0.8125rem] leading-[1.15rem] ${TIER_LOOK[gravest?.tier ?? 3]}`}
      data-testid="cautions"
    >
      <CautionLines of={judgement} more={false} most={2} />
      <button type="button" className="min-h-6 font-semibold underline underline-offset-2" onClick={onAll}>
        {composeBalanceWords.allCautionsAllergensAndWhy}
      </button>
    </div>
  );
}
