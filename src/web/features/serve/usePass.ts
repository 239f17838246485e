/** What has happened at this pass, kept by this device: a reload, a dead server, a night changes nothing of it. */
import { useMemo } from 'react';
import {
  bestTool,
  passNow,
  PORTION_ML,
  portionWith,
  type PassEvent,
  type PassSetting,
  type PortionTool,
} from '#core/service';
import { typedNumber } from '../../form/typed';
import { useKept } from '../../sync/useKept';
import { useNow } from '../../ui/useNow';

interface Kept {
  readonly events: readonly PassEvent[];
  /** What was cleared, until something is counted again. */
  readonly before: readonly PassEvent[];
  /** Null: what meets the portion best. */
  readonly tool: PortionTool | null;
  /** As typed; null: as usual. */
  readonly toolMl: string | null;
  readonly containerMl: string | null;
  readonly plates: string | null;
}
const START: Kept = { events: [], before: [], tool: null, toolMl: null, containerMl: null, plates: null };
const MOST_EVENTS = 6000;
const USUAL_CONTAINER_ML = 1000;
const EVERY_MS = 5000;
const SAME_PRESS_MS = 250;

interface Asked {
  readonly name: string;
  readonly plates: number;
  readonly perPlateMl: number;
  readonly about: Pick<PassSetting, 'shakeEveryS' | 'standOutS' | 'cold'>;
}

export function usePass({ name, plates, perPlateMl, about }: Asked) {
  const [kept, setKept] = useKept<Kept>(`pass-${name}`, START, 'device');
  const now = useNow(EVERY_MS);
  const tool = kept.tool ?? bestTool(perPlateMl);
  const texts = {
    plates: kept.plates ?? String(Math.max(1, Math.round(plates))),
    toolMl: kept.toolMl ?? String(PORTION_ML[tool].ml),
    containerMl: kept.containerMl ?? String(USUAL_CONTAINER_ML),
  };
  const typed = {
    plates: typedNumber(texts.plates, { above: 0, to: 5000 }),
    toolMl: typedNumber(texts.toolMl, { above: 0, to: 1000 }),
    containerMl: typedNumber(texts.containerMl, { above: 0, to: 50_000 }),
  };
  const fits = typed.plates.fits && typed.toolMl.fits && typed.containerMl.fits;
  const portion = typed.toolMl.fits ? portionWith(perPlateMl, typed.toolMl.value) : null;
  const { events } = kept;
  const platesAll = typed.plates.fits ? Math.round(typed.plates.value) : null;
  const containerMl = typed.containerMl.fits ? typed.containerMl.value : null;
  // What the hand gives counts, not what was reckoned.
  const givenMl = portion?.ml ?? null;
  const state = useMemo(
    () =>
      platesAll === null || containerMl === null || givenMl === null
        ? null
        : passNow(
            { plates: platesAll, perPlateMl: givenMl, containerMl, ...about },
            events,
            Math.max(now.getTime(), events.at(-1)?.at ?? 0),
          ),
    [platesAll, containerMl, givenMl, about, events, now],
  );
  const happened = (kind: PassEvent['kind']): void => {
    // A wet finger or a key that is held says a plate once.
    const last = events.at(-1);
    if (last?.kind === kind && Date.now() - last.at < SAME_PRESS_MS) return;
    const next = [...events, { kind, at: Date.now() }].slice(-MOST_EVENTS);
    setKept({ ...kept, events: next, before: [] });
  };
  return {
    ...{ tool, texts, typed, fits, portion, state, happened, events },
    canBringBack: kept.before.length > 0,
    set: (patch: Partial<Pick<Kept, 'tool' | 'toolMl' | 'containerMl' | 'plates'>>): void => {
      setKept({ ...kept, ...patch });
    },
    takeBack: (): void => {
      setKept({ ...kept, events: events.slice(0, -1) });
    },
    beginAnew: (): void => {
      setKept({ ...kept, events: [], before: events });
    },
    bringBack: (): void => {
      setKept({ ...kept, events: kept.before, before: [] });
    },
  };
}
export type Pass = ReturnType<typeof usePass>;
