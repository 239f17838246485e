import { useMemo } from 'react';
import type { ReadingContext } from '#core/formula';
import type { JudgedPortion } from '#core/reckoning';
import type { TrialEvent } from '#core/trial';
import { mendsFrom, type Kitchen } from '#kitchen/reading';
import { makeWords } from '#words/screens/make';
import { GesturePad } from '../../parts/GesturePad';
import { Dialog } from '../../ui/Dialog';

interface ByHandProps {
  readonly portions: readonly JudgedPortion[];
  readonly kitchen: Kitchen;
  readonly context: ReadingContext;
  readonly onSay: (...events: readonly TrialEvent[]) => void;
  readonly onClose: () => void;
}

/** A pinch that no step asked for goes in before, between and after the steps alike. */
export function ByHand({ portions, kitchen, context, onSay, onClose }: ByHandProps) {
  const { mayAdd } = useMemo(() => mendsFrom(portions, kitchen, context), [portions, kitchen, context]);
  return (
    <Dialog title={makeWords.somethingByHand} open onClose={onClose} wide>
      <GesturePad
        portions={portions}
        mayAdd={mayAdd}
        context={context}
        settings={kitchen.settings}
        onPut={(line, said) => {
          onSay({ kind: 'added', lines: [line], note: said });
        }}
      />
    </Dialog>
  );
}
