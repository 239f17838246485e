import { RIGHT_FROM } from '#core/practise';
import { practiseWords } from '#words/screens/practise';
import type { ReactNode } from 'react';
import { Button } from '../../ui/Button';

interface RoundEndProps {
  readonly score: number;
  readonly onNext: () => void;
  readonly children: ReactNode;
}
const NEARLY_FROM = 0.4;

/** How it came out, why, and on to the next. */
export function RoundEnd({ score, onNext, children }: RoundEndProps) {
  const said =
    score >= RIGHT_FROM
      ? practiseWords.right
      : score >= NEARLY_FROM
        ? practiseWords.nearly
        : practiseWords.notThisTime;
  return (
    <div className="grid gap-3 border-t border-rule pt-4">
      <div role="status" className="grid gap-1 text-lg" data-testid="round-end">
        <strong className="font-name text-2xl">{said}</strong>
        {children}
      </div>
      <Button
        kind="main"
        data-next
        autoFocus
        className="min-h-16 justify-self-start px-8 text-lg"
        onClick={onNext}
      >
        {practiseWords.next}
      </Button>
    </div>
  );
}
