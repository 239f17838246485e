import { memo, useMemo, useState, type ReactNode } from 'react';
import { COLD_C, HOLD_DAYS, layersAt, ROOM_C, ROOM_LIMIT_S, type Hold } from '#core/emulsion';
import { sayDuration, sayMixed } from '#words/hold';
import type { Keeping } from '#core/safety';
import type { Vessel } from '#core/vessel';
import { TermOf } from '../../parts/TermOf';
import { composeHoldWords } from '#words/screens/composeHold';
import { Jar, type JarPart } from '../../parts/drawing/Jar';
import { ThicknessSpoon } from '../../parts/drawing/ThicknessSpoon';
import { partsInTime, SCRUB_STEPS, shareOf, timeAt } from '../../parts/drawing/jarInTime';
import { Chips } from '../../ui/Chips';
import { useLast } from '../../ui/useLast';

interface JarInTimeProps {
  readonly vessel: Vessel;
  readonly parts: readonly JarPart[];
  readonly volumeMl: number;
  readonly hold: Hold | null;
  /** Why its layers are not drawn; null while all is well. */
  readonly failed: string | null;
  readonly keeping: Keeping;
  readonly temperatureC: number;
  readonly onTemperature: (temperatureC: number) => void;
  readonly onPanel: () => void;
  /** What the jar says as it is filled. */
  readonly label: string;
  /** What else stands beside the jar. */
  readonly children: ReactNode;
}

const DAY_S = 86_400;
const PLACES = [
  { value: String(ROOM_C), label: composeHoldWords.room },
  { value: String(COLD_C), label: composeHoldWords.fridge },
];

/** The jar as it goes in, and at any time after mixing; only this part is drawn again while it is scrubbed. */
export function JarInTime({
  vessel,
  parts,
  volumeMl,
  hold,
  failed,
  keeping,
  temperatureC,
  onTemperature,
  onPanel,
  label,
  children,
}: JarInTimeProps) {
  const [position, setPosition] = useState(0);
  // While the next is drawn the last stays to look at; what is said of it is already the new.
  const drawn = useLast(hold && hold.frames.length > 0 ? hold : undefined);
  const endS = HOLD_DAYS * DAY_S;
  const outOfCold = keeping.cold && temperatureC > COLD_C + 5;
  const limitS = outOfCold ? ROOM_LIMIT_S : endS;
  const most = outOfCold ? Math.floor(shareOf(ROOM_LIMIT_S, endS) * SCRUB_STEPS) : SCRUB_STEPS;
  const at = Math.min(position, most);
  const timeS = hold ? timeAt(at, endS) : null;
  const shown = useMemo(
    () =>
      drawn && timeS !== null
        ? partsInTime(layersAt(drawn.frames, timeS, drawn.heightM), drawn.state.outsidePhase, volumeMl)
        : parts,
    [drawn, timeS, parts, volumeMl],
  );
  const when =
    timeS === null
      ? composeHoldWords.asItGoesIn
      : timeS === 0
        ? composeHoldWords.justMixed
        : composeHoldWords.timesLater(sayDuration(timeS));
  return (
    <div className="contents" data-testid="hold">
      <div className="grid grid-cols-[178px_minmax(0,1fr)] gap-x-3 py-1">
        <Jar
          vessel={vessel}
          parts={shown}
          width={178}
          height={270}
          labelled
          label={timeS === null ? label : composeHoldWords.labelShownWhen(label, when)}
        />
        <div className="grid content-between gap-2">
          {children}
          {volumeMl > 0 && (
            <HoldWords
              hold={hold}
              failed={failed}
              keeping={keeping}
              outOfCold={outOfCold}
              onPanel={onPanel}
            />
          )}
        </div>
      </div>
      {volumeMl > 0 && (
        <div className="grid gap-1">
          <Scrubber
            hold={hold}
            position={at}
            most={most}
            endS={endS}
            limitS={limitS}
            when={when}
            temperatureC={temperatureC}
            onTemperature={onTemperature}
            onPosition={setPosition}
          />
        </div>
      )}
    </div>
  );
}

/** Not drawn again while the jar is scrubbed. */
const HoldWords = memo(function HoldWords({
  hold,
  failed,
  keeping,
  outOfCold,
  onPanel,
}: Pick<JarInTimeProps, 'hold' | 'failed' | 'keeping' | 'onPanel'> & { outOfCold: boolean }) {
  return (
    <div className="grid content-end gap-1">
      <div className="grid gap-1">
        {hold && !hold.state.split && <ThicknessSpoon thickness={hold.state.thickness.class} size={52} />}
        <p className="text-[0.8125rem] leading-[1.1rem]" role="status">
          {failed !== null ? composeHoldWords.theLayersCouldNotBe(failed) : sayAll(hold, keeping, outOfCold)}
        </p>
      </div>
      {hold && (
        <p className="text-sm text-quiet">
          {composeHoldWords.whatIsMeantBy} <TermOf term="hold" />?
        </p>
      )}
      <button
        type="button"
        className="min-h-7 justify-self-start rounded-md text-left text-sm font-semibold underline underline-offset-2 hover:bg-mint"
        onClick={onPanel}
      >
        {composeHoldWords.howToMakeItHold}
      </button>
    </div>
  );
});

const Stands = memo(function Stands({
  temperatureC,
  onTemperature,
}: Pick<JarInTimeProps, 'temperatureC' | 'onTemperature'>) {
  return (
    <Chips
      label={composeHoldWords.standsInThe}
      value={String(temperatureC)}
      options={PLACES}
      onChange={(value) => {
        onTemperature(Number(value));
      }}
    />
  );
});

function sayAll(hold: Hold | null, keeping: Keeping, outOfCold: boolean): string {
  if (!hold) return '';
  const longest = hold.highS ?? Infinity;
  const keeps = longest > keeping.days * DAY_S ? composeHoldWords.keepAtMostDaysDays(keeping.days) : '';
  const room = outOfCold ? composeHoldWords.notAtRoomTemperatureFor : '';
  return composeHoldWords.mixedKeepsRoom(sayMixed(hold), keeps, room);
}

/** Time on a logarithmic track, with the moment a shake is needed and its band. */
function Scrubber({
  hold,
  position,
  most,
  endS,
  limitS,
  when,
  temperatureC,
  onTemperature,
  onPosition,
}: {
  hold: Hold | null;
  position: number;
  most: number;
  endS: number;
  limitS: number;
  when: string;
  temperatureC: number;
  onTemperature: (temperatureC: number) => void;
  onPosition: (position: number) => void;
}) {
  const at = (seconds: number): string => `${shareOf(seconds, endS) * 100}%`;
  return (
    <div>
      <div className="mb-1 flex items-center justify-between gap-1">
        <p className="text-[0.8125rem] leading-4 font-semibold">{when}</p>
        <Stands temperatureC={temperatureC} onTemperature={onTemperature} />
      </div>
      <div className="relative">
        <span className="absolute inset-x-0 top-1 h-2 rounded bg-track" aria-hidden />
        {hold?.medianS != null && hold.lowS !== null && hold.highS !== null && (
          <>
            <span
              className="absolute top-1 h-2 bg-acid/35"
              style={{ left: at(hold.lowS), width: `calc(${at(hold.highS)} - ${at(hold.lowS)})` }}
              aria-hidden
            />
            <span
              className="absolute top-0 h-4 w-0.5 bg-acid-ink"
              style={{ left: at(hold.medianS) }}
              aria-hidden
            />
          </>
        )}
        {limitS < endS && (
          <span
            className="absolute top-1 right-0 h-2 bg-[repeating-linear-gradient(135deg,#7d8a82_0_2px,transparent_2px_6px)]"
            style={{ left: at(limitS) }}
            title={composeHoldWords.notAtRoomTemperature}
          />
        )}
        <input
          type="range"
          className="relative block h-6 w-full accent-leaf"
          aria-label={composeHoldWords.timeAfterMixing}
          aria-valuetext={when}
          min={0}
          max={SCRUB_STEPS}
          step={1}
          value={position}
          disabled={!hold}
          onChange={(event) => {
            onPosition(Math.min(most, Number(event.target.value)));
          }}
        />
      </div>
      <p className="flex justify-between text-2xs text-quiet" aria-hidden>
        <span>{composeHoldWords.mixed}</span>
        {limitS < endS ? <span>{composeHoldWords.notAtRoomTemperature}</span> : <span>1 h</span>}
        <span>{composeHoldWords.n14Days}</span>
      </p>
    </div>
  );
}
