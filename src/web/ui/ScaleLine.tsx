import type { NumberStyle } from '#words/numbers';
import { Button } from './Button';
import type { Scale } from '../store/scale';

interface ScaleLineProps {
  readonly scale: Scale;
  readonly weighable: boolean;
  readonly readabilityG: number;
  readonly settings: NumberStyle;
}

/** Which scale is read, or why none is, and the way on. */
export function ScaleLine({ scale, weighable, readabilityG, settings }: ScaleLineProps) {
  return (
    <p className="flex min-h-16 flex-wrap items-center gap-3 text-lg" role="status" data-testid="scale">
      {scale.simulated && (
        <span className="rounded-md border-2 border-sweet px-2 py-0.5 font-semibold text-sweet-ink">
          simulated
        </span>
      )}
      <span className={scale.status === 'ready' || scale.status === 'none' ? 'text-quiet' : 'font-semibold'}>
        {sayScale(
          scale,
          weighable,
          `${String(readabilityG).replace('.', settings.decimalSign === 'comma' ? ',' : '.')} g`,
        )}
      </span>
      {(scale.status === 'elsewhere' || scale.status === 'other-screen') && (
        <Button className="min-h-16 px-5" onClick={scale.takeOver}>
          Read it here
        </Button>
      )}
    </p>
  );
}

function sayScale({ status, holder, info }: Scale, weighable: boolean, step: string): string {
  switch (status) {
    case 'none':
      return 'No scale: by the spoon, or type what yours shows.';
    case 'silent':
      return 'The scale is not heard. By hand goes on working.';
    case 'unplugged':
      return 'The scale is unplugged. Plug it in, set it to zero, or go on by hand.';
    case 'overload':
      return 'Too much lies on the scale: it shows no number.';
    case 'elsewhere':
      return `In use: ${holder!.label}.`;
    case 'other-screen':
      return 'Another screen of this making takes the readings.';
    case 'ready':
      return weighable ? `${info!.name}, steps of ${step}` : `Too little for steps of ${step}: by the spoon.`;
  }
}
