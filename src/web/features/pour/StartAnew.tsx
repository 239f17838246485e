import { pourWords } from '#words/screens/pour';
import { Button } from '../../ui/Button';
import { Dialog } from '../../ui/Dialog';

interface StartAnewProps {
  /** How much is in it. */
  readonly amount: string;
  readonly onAnew: () => void;
  readonly onClose: () => void;
}

export function StartAnew({ amount, onAnew, onClose }: StartAnewProps) {
  return (
    <Dialog title={pourWords.startAnew} open onClose={onClose}>
      <p className="mb-4">{pourWords.startAnewSays(amount)}</p>
      <div className="flex flex-wrap gap-4">
        <Button kind="main" className="min-h-16 px-6" onClick={onAnew}>
          {pourWords.throwAway}
        </Button>
        <Button className="min-h-16 px-5" onClick={onClose}>
          {pourWords.keepPouring}
        </Button>
      </div>
    </Dialog>
  );
}
