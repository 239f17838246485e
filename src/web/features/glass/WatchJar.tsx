import { useEffect, useRef, useState } from 'react';
import { marksProblem, proposeMarks, type Marks } from '#core/glass';
import { formatMoment } from '#words/numbers';
import { glassWords, LAYER_WORDS } from '#words/screens/glass';
import { useKept } from '../../sync/useKept';
import { Button } from '../../ui/Button';
import { beep } from '../../ui/sound';
import { useAwake } from '../../ui/useAwake';
import { searcher } from '../../workers/searcher';
import { frameOf, type Decoded } from '../../parts/picture/decode';
import { MarkedPicture } from './MarkedPicture';
import { isAside, usualMarks } from './seenIn';
import { useCamera, type CameraState } from './useCamera';

interface Watch {
  readonly on: boolean;
  /** Null: not drawn yet. */
  readonly marks: Marks | null;
  readonly since: string;
  readonly times: number;
  /** What was seen last, from the floor up. */
  readonly last: readonly (keyof typeof LAYER_WORDS)[];
  /** How often in a row a layer was seen. */
  readonly inARow: number;
}
const OFF: Watch = { on: false, marks: null, since: '', times: 0, last: [], inARow: 0 };
const EVERY_MS = 60_000;
/** A shadow may pass once. */
const SURE = 2;
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
  readonly onFound: (picture: Decoded, marks: Marks | null) => void;
}) {
  const [watch, setWatch] = useKept<Watch>(`watch-${jarId}`, OFF, 'device');
  const [still, setStill] = useState<Decoded | null>(null);
  const [drawn, setDrawn] = useState<Marks | null>(null);
  const [turned, setTurned] = useState(false);
  const [found, setFound] = useState<string | null>(null);
  const { video, state } = useCamera(watch.on);
  useAwake(watch.on && state === 'live');
  useStill(watch.on && state === 'live' && watch.marks === null, video, (picture) => {
    setStill(picture);
    setDrawn(proposeMarks(picture.photo) ?? usualMarks(picture.photo.width, picture.photo.height));
  });
  useEveryMinute(watch, state, video, {
    onTurned: () => {
      setTurned(true);
      setWatch({ ...watch, marks: null });
    },
    onSeen: (picture, last) => {
      const liquid = last.filter((kind) => !isAside({ kind } as never));
      const inARow = liquid.length > 1 ? watch.inARow + 1 : 0;
      if (inARow < SURE) {
        URL.revokeObjectURL(picture.url);
        setWatch({ ...watch, times: watch.times + 1, last, inARow });
        return;
      }
      setWatch(OFF);
      setFound(picture.takenAt);
      beep('time');
      onFound(picture, watch.marks);
    },
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
      {turned && watch.marks === null && <p role="alert">{glassWords.cameraTurned}</p>}
      {watch.on && watch.marks !== null && state === 'live' && (
        <p role="status">
          {glassWords.watchedFor(String(watch.times), formatMoment(watch.since))}{' '}
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
      {watch.on && state === 'live' && (
        <Button
          className="min-h-11 justify-self-start"
          onClick={() => {
            void frameOf(video.current!).then((picture) => {
              if (picture) onFound(picture, watch.marks);
            });
          }}
        >
          {glassWords.takeNow}
        </Button>
      )}
      {watch.on && watch.marks === null && still && drawn && (
        <>
          <p>{glassWords.drawThenWatch}</p>
          <MarkedPicture
            url={still.url}
            photo={still.photo}
            marks={drawn}
            layers={null}
            onMarks={setDrawn}
            onBorder={() => undefined}
          />
          <Button
            kind="main"
            className="min-h-11 justify-self-start"
            disabled={marksProblem(still.photo, drawn) !== null}
            onClick={() => {
              URL.revokeObjectURL(still.url);
              setStill(null);
              setTurned(false);
              setWatch({ ...watch, marks: drawn, since: new Date().toISOString() });
            }}
          >
            {glassWords.theseCorners}
          </Button>
        </>
      )}
      <Button
        className="min-h-11 justify-self-start"
        onClick={() => {
          setFound(null);
          setStill(null);
          setWatch(watch.on ? OFF : { ...OFF, on: true });
        }}
      >
        {watch.on ? glassWords.stopWatching : glassWords.beginWatching}
      </Button>
    </section>
  );
}

type Video = ReturnType<typeof useCamera>['video'];

/** One picture to draw the corners in, as soon as the camera sees. */
function useStill(wanted: boolean, video: Video, onStill: (picture: Decoded) => void): void {
  const take = useRef(onStill);
  useEffect(() => {
    take.current = onStill;
  });
  useEffect(() => {
    if (!wanted) return;
    void frameOf(video.current!).then((picture) => {
      if (picture) take.current(picture);
    });
  }, [wanted, video]);
}

interface Heard {
  readonly onTurned: () => void;
  readonly onSeen: (picture: Decoded, kinds: Watch['last']) => void;
}

/** Once a minute, while the camera lives and the corners are drawn. */
function useEveryMinute(watch: Watch, state: CameraState, video: Video, heard: Heard): void {
  const now = useRef({ watch, heard });
  useEffect(() => {
    now.current = { watch, heard };
  });
  const runs = watch.on && watch.marks !== null && state === 'live';
  useEffect(() => {
    if (!runs) return undefined;
    const controller = new AbortController();
    const look = async (): Promise<void> => {
      const picture = video.current && (await frameOf(video.current));
      const { marks } = now.current.watch;
      if (!picture || !marks) return;
      if (marksProblem(picture.photo, marks)) {
        now.current.heard.onTurned();
        return;
      }
      const question = { photo: picture.photo, marks };
      const { layers } = await searcher.ask('glass', question, { signal: controller.signal });
      now.current.heard.onSeen(
        picture,
        layers.map(({ kind }) => kind),
      );
    };
    const run = (): void => {
      look().catch(() => undefined);
    };
    run();
    const timer = setInterval(run, EVERY_MS);
    return () => {
      controller.abort();
      clearInterval(timer);
    };
  }, [runs, video]);
}
