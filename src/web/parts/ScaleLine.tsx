import { sayInstrument } from '#words/instruments';
import type { NumberStyle } from '#words/numbers';
import { partsWords } from '#words/screens/parts';
import { Button } from '../ui/Button';
import type { Scale } from '../data/scale';

interface ScaleLineProps {
  readonly scale: Scale;
  readonly weighable: boolean;
  readonly readabilityG: number;
  readonly settings: NumberStyle;
}

/** Which scale is read, or why none is, and the way on. */
export function ScaleLine({ scale, weighable, readabilityG, settings }: ScaleLineProps) {
  return (
    <p
      className="flex min-h-16 flex-wrap items-center gap-x-3 gap-y-2 sm:text-lg"
      role="status"
      data-testid="scale"
    >
      {scale.simulated && (
        <span className="rounded-md border-2 border-sweet px-2 py-0.5 font-semibold text-sweet-ink">
          {partsWords.simulated}
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
          {partsWords.readItHere}
        </Button>
      )}
    </p>
  );
}

function sayScale({ status, holder, info }: Scale, weighable: boolean, step: string): string {
  switch (status) {
    case 'none':
      return partsWords.noScaleByTheSpoon;
    case 'silent':
      return partsWords.theScaleIsNotHeard;
    case 'unplugged':
      return partsWords.theScaleIsUnpluggedPlug;
    case 'overload':
      return partsWords.tooMuchLiesOnThe;
    case 'elsewhere':
      return partsWords.inUseLabel(holder!.label);
    case 'other-screen':
      return partsWords.anotherScreenOfThisMaking;
    case 'ready':
      return weighable
        ? partsWords.nameStepsOfStep(sayInstrument(info!), step)
        : partsWords.tooLittleForStepsOf(step);
  }
}
