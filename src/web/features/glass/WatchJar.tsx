import { useEffect, useState } from 'react';
import { marksProblem, proposeMarks, surroundingsOf, type Marks } from '#core/glass';
import { formatMoment } from '#words/numbers';
import { glassWords, LAYER_WORDS } from '#words/screens/glass';
import { useKept } from '../../sync/useKept';
import { Button } from '../../ui/Button';
import { beep } from '../../ui/sound';
import { useAwake } from '../../ui/useAwake';
import { frameOf, type Frame, type Taken } from '../../parts/picture/decode';
import { MarkedPicture } from './MarkedPicture';
import { usualMarks } from './seenIn';
import { useCamera, type CameraState } from './useCamera';
import { afterLook, OFF, useEveryMinute, useStill, type Watch } from './watching';

const TROUBLES: Readonly<Partial<Record<CameraState, string>>> = {
  starting: glassWords.cameraStarting,
  refused: glassWords.cameraRefused,
  none: glassWords.cameraNone,
  lost: glassWords.cameraLost,
};

/** The camera stays on the jar, and says when a layer shows. What it watches survives a reload. */
export function WatchJar({
  jarId,
  onFound,
}: {
  readonly jarId: string;
  /** @param marks null: nobody drew them yet */
  readonly onFound: (picture: Taken, marks: Marks | null) => void;
}) {
  const [watch, setWatch] = useKept<Watch>(`watching-${jarId}`, OFF, 'device');
  const [still, setStill] = useState<Frame | null>(null);
  const [turned, setTurned] = useState(false);
  const [found, setFound] = useState<string | null>(null);
  const { video, state, again } = useCamera(watch.on);
  const isLive = watch.on && state === 'live';
  useAwake(isLive);
  useStill(isLive && watch.between === null, video, setStill);
  const hand = async (frame: Frame): Promise<void> => {
    const taken = await frame.kept();
    if (taken) onFound(taken, watch.between?.marks ?? null);
  };
  useEveryMinute(watch, state, video, (look, frame) => {
    const after = afterLook(watch, look);
    if (after.ends === 'turned') setTurned(true);
    if (after.ends === 'layer') {
      setFound(new Date().toISOString());
      beep('time');
      void hand(frame);
    }
    setWatch(after.watch);
  });
  return (
    <section aria-label={glassWords.watch} className="card grid grid-cols-[minmax(0,1fr)] gap-3 p-4">
      <h2 className="font-name text-lg font-bold">{glassWords.watch}</h2>
      <p className="text-sm text-quiet">{glassWords.watchHow}</p>
      {found !== null && (
        <p role="alert" className="text-lg font-semibold">
          {glassWords.aLayerShows(formatMoment(found))}
        </p>
      )}
      {watch.on && TROUBLES[state] && <p role="alert">{TROUBLES[state]}</p>}
      {turned && watch.between === null && <p role="alert">{glassWords.cameraTurned}</p>}
      {isLive && watch.between !== null && (
        <p role="status">
          {glassWords.watchedFor(watch.times, formatMoment(watch.since))}{' '}
          {watch.layersInARow > 0 ? glassWords.layerMayShow : glassWords.noLayerYet}{' '}
          {watch.last.length > 0 &&
            glassWords.lastSeen(watch.last.map((kind) => LAYER_WORDS[kind]).join(', '))}
        </p>
      )}
      {watch.on && (
        <video
          ref={video}
          muted
          playsInline
          className={`max-h-48 w-full rounded-lg bg-paper ${state === 'live' ? '' : 'hidden'}`}
          data-testid="camera"
        />
      )}
      {isLive && watch.between === null && still && (
        <DrawCorners
          frame={still}
          onDrawn={(marks) => {
            setStill(null);
            setTurned(false);
            const between = { marks, around: surroundingsOf(still.photo, marks) };
            setWatch({ ...watch, between, since: watch.since || new Date().toISOString() });
          }}
        />
      )}
      <div className="flex flex-wrap gap-3">
        {isLive && (
          <Button
            className="min-h-11"
            onClick={() => {
              const frame = frameOf(video.current!);
              if (frame) void hand(frame);
            }}
          >
            {glassWords.takeNow}
          </Button>
        )}
        {watch.on && (state === 'lost' || state === 'none' || state === 'refused') && (
          <Button className="min-h-11" onClick={again}>
            {glassWords.tryCamera}
          </Button>
        )}
        <Button
          className="min-h-11"
          onClick={() => {
            setFound(null);
            setStill(null);
            setTurned(false);
            setWatch(watch.on ? OFF : { ...OFF, on: true });
          }}
        >
          {watch.on ? glassWords.stopWatching : glassWords.beginWatching}
        </Button>
      </div>
    </section>
  );
}

function DrawCorners({
  frame,
  onDrawn,
}: {
  readonly frame: Frame;
  readonly onDrawn: (marks: Marks) => void;
}) {
  const { photo } = frame;
  const [marks, setMarks] = useState<Marks>(
    () => proposeMarks(photo) ?? usualMarks(photo.width, photo.height),
  );
  const [url, setUrl] = useState<string | null>(null);
  useEffect(() => {
    let made: string | null = null;
    let gone = false;
    void frame.kept().then((taken) => {
      if (!taken || gone) return;
      made = URL.createObjectURL(taken.jpeg);
      setUrl(made);
    });
    return () => {
      gone = true;
      if (made !== null) URL.revokeObjectURL(made);
    };
  }, [frame]);
  const problem = marksProblem(photo, marks);
  return (
    <>
      <p>{glassWords.drawThenWatch}</p>
      {url !== null && (
        <MarkedPicture
          url={url}
          photo={photo}
          marks={marks}
          layers={null}
          onMarks={setMarks}
          onBorder={() => undefined}
        />
      )}
      {problem && <p role="alert">{glassWords.marksProblem[problem]}</p>}
      <Button
        kind="main"
        className="min-h-11 justify-self-start"
        disabled={problem !== null}
        onClick={() => {
          onDrawn(marks);
        }}
      >
        {glassWords.theseCorners}
      </Button>
    </>
  );
}
