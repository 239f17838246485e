import { RIGHT_FROM } from '#core/practise';
import { practiseWords } from '#words/screens/practise';
import { useEffect, useRef, type ReactNode } from 'react';
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
  // Not the key to the next: who still holds a key down would press it by letting go.
  const heading = useRef<HTMLHeadingElement>(null);
  useEffect(() => {
    heading.current?.focus();
  }, []);
  return (
    <div className="grid gap-3 border-t border-rule pt-4">
      <div role="status" className="grid gap-1 text-lg" data-testid="round-end">
        <h2 ref={heading} tabIndex={-1} className="font-name text-2xl font-bold">
          {said}
        </h2>
        {children}
      </div>
      <Button
        kind="main"
        data-next

        className="min-h-16 justify-self-start px-8 text-lg"
        onClick={onNext}
      >
        {practiseWords.next}
      </Button>
    </div>
  );
}
