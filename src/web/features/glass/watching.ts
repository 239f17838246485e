/** One look a minute through the camera, and what is made of it. */
import { useEffect, useRef } from 'react';
import {
  hasMoved,
  marksProblem,
  surroundingsOf,
  type GlassLayer,
  type Marks,
  type Surroundings,
} from '#core/glass';
import { frameOf, type Frame } from '../../parts/picture/decode';
import { searcher } from '../../workers/searcher';
import { isAside } from './seenIn';
import type { CameraState, useCamera } from './useCamera';

export interface Watch {
  readonly on: boolean;
  /** Null: not drawn yet, or to be drawn again. */
  readonly between: { readonly marks: Marks; readonly around: Surroundings } | null;
  readonly since: string;
  readonly times: number;
  /** What was seen last, from the floor up. */
  readonly last: readonly GlassLayer['kind'][];
  /** How often in a row a layer was seen; how often another picture. */
  readonly layersInARow: number;
  readonly movedInARow: number;
}
export const OFF: Watch = {
  on: false,
  between: null,
  since: '',
  times: 0,
  last: [],
  layersInARow: 0,
  movedInARow: 0,
};

/** A shadow or a hand may pass once. */
const SURE = 2;
const EVERY_MS = 60_000;

export type Look = 'moved' | readonly GlassLayer['kind'][];

/** What one more look makes of the watch: it goes on, it asks for the corners again, or a layer shows. */
export function afterLook(
  watch: Watch,
  look: Look,
): { readonly watch: Watch; readonly ends: 'turned' | 'layer' | null } {
  if (look === 'moved') {
    const movedInARow = watch.movedInARow + 1;
    if (movedInARow < SURE) return { watch: { ...watch, movedInARow }, ends: null };
    return { watch: { ...watch, between: null, movedInARow: 0, layersInARow: 0 }, ends: 'turned' };
  }
  const isApart = look.filter((kind) => !isAside({ kind })).length > 1;
  const layersInARow = isApart ? watch.layersInARow + 1 : 0;
  if (layersInARow >= SURE) return { watch: OFF, ends: 'layer' };
  return {
    watch: { ...watch, times: watch.times + 1, last: look, layersInARow, movedInARow: 0 },
    ends: null,
  };
}

type Video = ReturnType<typeof useCamera>['video'];

/** One picture to draw the corners in, as soon as the camera sees. */
export function useStill(wanted: boolean, video: Video, onStill: (frame: Frame) => void): void {
  const take = useRef(onStill);
  useEffect(() => {
    take.current = onStill;
  });
  useEffect(() => {
    const frame = wanted && video.current ? frameOf(video.current) : null;
    if (frame) take.current(frame);
  }, [wanted, video]);
}

/** Once a minute, while the camera lives and the corners are drawn. */
export function useEveryMinute(
  watch: Watch,
  state: CameraState,
  video: Video,
  onLook: (look: Look, frame: Frame) => void,
): void {
  const now = useRef({ watch, onLook });
  useEffect(() => {
    now.current = { watch, onLook };
  });
  const runs = watch.on && watch.between !== null && state === 'live';
  useEffect(() => {
    if (!runs) return undefined;
    const controller = new AbortController();
    const look = async (): Promise<void> => {
      const frame = video.current && frameOf(video.current);
      const { between } = now.current.watch;
      if (!frame || !between) return;
      const { marks, around } = between;
      if (marksProblem(frame.photo, marks) || hasMoved(around, surroundingsOf(frame.photo, marks))) {
        now.current.onLook('moved', frame);
        return;
      }
      const question = { photo: frame.photo, marks };
      const { layers } = await searcher.ask('glass', question, { signal: controller.signal });
      const kinds = layers.map(({ kind }) => kind);
      now.current.onLook(kinds, frame);
    };
    const run = (): void => {
      // One that is stopped, or fails, is one look less.
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
