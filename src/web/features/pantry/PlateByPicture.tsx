import { useEffect, useRef, useState } from 'react';
import { PLATE_LIMITS_S, secondsOfRun, type CounterTest } from '#core/emulsion';
import { CARD_MM, runMm, type Point } from '#core/glass';
import { thicknessWords as words } from '#words/screens/thickness';
import { typedNumber } from '../../form/typed';
import { sayNotTaken, takePicture, type Taken } from '../../parts/picture/decode';
import { Handle, placeIn } from '../../parts/picture/Handle';
import { Button } from '../../ui/Button';
import { Field } from '../../ui/Field';

const ENDS = ['run-start', 'run-end', 'measure-start', 'measure-end'] as const;
type Ends = Readonly<Record<(typeof ENDS)[number], Point>>;

const usualEnds = (width: number, height: number): Ends => ({
  'run-start': { x: width * 0.6, y: height * 0.25 },
  'run-end': { x: width * 0.6, y: height * 0.75 },
  'measure-start': { x: width * 0.15, y: height * 0.85 },
  'measure-end': { x: width * 0.5, y: height * 0.85 },
});

/** How far it ran on the plate, by a card or a coin beside it. The picture is looked at here and not kept. */
export function PlateByPicture({ onFound }: { readonly onFound: (test: CounterTest) => void }) {
  const [picture, setPicture] = useState<Shown | null>(null);
  const [trouble, setTrouble] = useState<string | null>(null);
  useEffect(
    () => () => {
      if (picture) URL.revokeObjectURL(picture.url);
    },
    [picture],
  );
  const take = async (file: File | undefined): Promise<void> => {
    if (!file) return;
    const taken = await takePicture(file);
    const isTaken = !('why' in taken);
    setPicture(isTaken ? { ...taken, url: URL.createObjectURL(taken.jpeg) } : null);
    setTrouble(isTaken ? null : sayNotTaken(file.name, taken));
  };
  return (
    <fieldset className="grid gap-2">
      <legend className="font-semibold">{words.byPicture}</legend>
      <p className="text-sm text-quiet">{words.byPictureHow}</p>
      <label className="inline-flex min-h-11 cursor-pointer items-center justify-self-start rounded-md border border-edge bg-paper px-3 font-semibold hover:bg-mint has-focus-visible:outline-3 has-focus-visible:outline-offset-2 has-focus-visible:outline-leaf">
        {words.aPicture}
        <input
          type="file"
          accept="image/*"
          className="sr-only"
          onChange={({ target }) => {
            void take(target.files?.[0]);
            target.value = '';
          }}
        />
      </label>
      {trouble !== null && <p role="alert">{trouble}</p>}
      {picture && (
        <MarkedPlate
          key={picture.url}
          picture={picture}
          onFound={(test) => {
            setPicture(null);
            onFound(test);
          }}
          onAway={() => {
            setPicture(null);
          }}
        />
      )}
    </fieldset>
  );
}

type Shown = Taken & { readonly url: string };

interface MarkedPlateProps {
  readonly picture: Shown;
  readonly onFound: (test: CounterTest) => void;
  readonly onAway: () => void;
}

function MarkedPlate({ picture, onFound, onAway }: MarkedPlateProps) {
  const { width, height } = picture;
  const drawing = useRef<SVGSVGElement>(null);
  const [ends, setEnds] = useState(() => usualEnds(width, height));
  const [measureText, setMeasureText] = useState(String(CARD_MM));
  const [secondsText, setSecondsText] = useState('10');
  const measure = typedNumber(measureText, { from: 10, to: 300 });
  const seconds = typedNumber(secondsText, { from: PLATE_LIMITS_S.low, to: PLATE_LIMITS_S.high });
  const pair = (of: 'run' | 'measure') => [ends[`${of}-start`], ends[`${of}-end`]] as const;
  const ranMm = measure.fits ? runMm(pair('run'), pair('measure'), measure.value) : null;
  const found = ranMm !== null && ranMm > 0 && seconds.fits ? secondsOfRun(ranMm, seconds.value) : null;
  const fits = found !== null && found >= PLATE_LIMITS_S.low && found <= PLATE_LIMITS_S.high;
  const size = Math.max(width, height) / 50;
  return (
    <div className="grid gap-2">
      <svg
        ref={drawing}
        viewBox={`0 0 ${width} ${height}`}
        className="max-h-96 w-full touch-none rounded-lg border border-rule bg-paper"
      >
        <image href={picture.url} width={width} height={height} />
        {(['run', 'measure'] as const).map((of) => {
          const [a, b] = pair(of);
          return (
            <line
              key={of}
              x1={a.x}
              y1={a.y}
              x2={b.x}
              y2={b.y}
              className="stroke-ink"
              strokeWidth={size / 4}
              strokeDasharray={of === 'measure' ? `${size / 2} ${size / 3}` : undefined}
            />
          );
        })}
        {ENDS.map((end) => (
          <Handle
            key={end}
            at={ends[end]}
            size={size}
            label={words.ends[end]}
            placeOf={placeIn(drawing, picture)}
            onPut={(point) => {
              setEnds({ ...ends, [end]: point });
            }}
            step={height / 200}
          />
        ))}
      </svg>
      <div className="flex flex-wrap items-start gap-3">
        <Field
          label={words.measureMm}
          className="w-40"
          inputMode="decimal"
          value={measureText}
          onText={setMeasureText}
          problem={measure.fits ? null : words.measureLimits}
        />
        <Field
          label={words.after}
          className="w-28"
          inputMode="decimal"
          value={secondsText}
          onText={setSecondsText}
          problem={seconds.fits ? null : words.betweenLowAndHigh(PLATE_LIMITS_S.low, PLATE_LIMITS_S.high)}
        />
      </div>
      <p role="status" className="font-semibold">
        {ranMm === null && measure.fits && words.tooSmall}
        {ranMm !== null && fits && words.ranSo(ranMm.toFixed(0), found.toFixed(found < 10 ? 1 : 0))}
        {ranMm !== null && seconds.fits && !fits && words.tooFarOff(PLATE_LIMITS_S.low, PLATE_LIMITS_S.high)}
      </p>
      <div className="flex flex-wrap gap-3">
        <Button
          kind="main"
          className="min-h-11"
          disabled={!fits}
          onClick={() => {
            if (fits) onFound({ kind: 'plate', seconds: Math.round(found * 10) / 10 });
          }}
        >
          {words.set}
        </Button>
        <Button className="min-h-11" onClick={onAway}>
          {words.putAway}
        </Button>
      </div>
    </div>
  );
}
