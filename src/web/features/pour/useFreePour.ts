/** The jar that is being filled, kept by this device until it is done. */
import { useCallback, useEffect, useRef } from 'react';
import { usualTool } from '#core/emulsion';
import type { Tool, VesselId } from '#core/formula';
import { DEFAULT_VESSEL_ID } from '#core/vessel';
import { emptyPour, pouredFormula, pouredJar, undone, type FreePour } from '#kitchen/pour';
import { vesselOf, type Kitchen } from '#kitchen/reading';
import { pourWords } from '#words/screens/pour';
import { frameWords } from '#words/screens/frame';
import { newId } from '../../sync/device';
import { put } from '../../sync/outbox';
import { useAppSelector } from '../../sync/store';
import { useKept } from '../../sync/useKept';

/** One that is done and waits for the kitchen. */
export interface PouredJarKept {
  readonly formulaId: FreePour['formulaId'];
  readonly jarId: string;
  readonly name: string;
}

export interface FreePourHere {
  readonly pour: FreePour;
  readonly change: (by: (pour: FreePour) => FreePour) => void;
  readonly undo: () => void;
  readonly startAnew: () => void;
  readonly finish: (name: string, tool: Tool, kitchen: Kitchen) => Promise<void>;
  /** Done on this device; null: none is under way. */
  readonly kept: PouredJarKept | null;
  /** The kitchen has it. */
  readonly arrived: boolean;
  readonly forget: () => void;
}

export function useFreePour(): FreePourHere {
  const [pour, setPour] = useKept<FreePour>('free-pour', emptyPour(DEFAULT_VESSEL_ID, newId), 'device');
  const [kept, setKept] = useKept<PouredJarKept | null>('free-pour-kept', null, 'device');
  // The scale speaks between two renders: each change is made to what the one before left.
  const latest = useRef(pour);
  useEffect(() => {
    latest.current = pour;
  }, [pour]);
  const change = useCallback<FreePourHere['change']>(
    (by) => {
      const next = by(latest.current);
      if (next === latest.current) return;
      latest.current = next;
      setPour(next);
    },
    [setPour],
  );
  const startAnew = (vesselId: VesselId = pour.vesselId): void => {
    change(() => emptyPour(vesselId, newId));
  };
  const finish: FreePourHere['finish'] = async (name, tool, kitchen) => {
    const done = latest.current;
    const { formulaId, jarId, vesselId } = done;
    const formula = {
      ...pouredFormula(done, name, kitchen, pourWords.somethingPoured),
      tool: tool === usualTool(vesselOf(done, kitchen.vessels)) ? null : tool,
    };
    const { making, events } = pouredJar(formula, done, tool, kitchen);
    await put(
      { kind: 'new-formula', id: `new-${formulaId}`, formulaId, formula: { id: formulaId, formula } },
      {
        kind: 'begin',
        id: `begin-${jarId}`,
        formulaId,
        jar: {
          id: jarId,
          formulaId,
          styleId: null,
          vesselId,
          lines: [],
          making,
          freeze: { formula, note: frameWords.forAJar },
        },
      },
      ...events.map(({ id, event }) => ({ kind: 'event', id, trialId: jarId, formulaId, event }) as const),
    );
    setKept({ formulaId, jarId, name });
    startAnew(vesselId);
  };
  const waits = useAppSelector(({ outbox }) =>
    outbox.waiting.some((one) => 'formulaId' in one && one.formulaId === kept?.formulaId),
  );
  return {
    pour,
    change,
    undo: () => {
      change(undone);
    },
    startAnew: () => {
      startAnew();
    },
    finish,
    kept,
    arrived: kept !== null && !waits,
    forget: () => {
      setKept(null);
    },
  };
}
