import { useState } from 'react';
import { usualTool } from '#core/emulsion';
import { TOOLS, type Tool } from '#core/formula';
import type { Vessel } from '#core/vessel';
import { TOOL_WORDS } from '#words/hold';
import { pourWords } from '#words/screens/pour';
import { formatMoment } from '#words/numbers';
import { Button } from '../../ui/Button';
import { Choice } from '../../ui/Choice';
import { Dialog } from '../../ui/Dialog';
import { Field } from '../../ui/Field';

interface FinishPanelProps {
  readonly vessel: Vessel;
  readonly unnamed: number;
  readonly onKeep: (name: string, tool: Tool) => Promise<void>;
  readonly onClose: () => void;
}

/** What was poured becomes a formula and its jar. */
export function FinishPanel({ vessel, unnamed, onKeep, onClose }: FinishPanelProps) {
  const [name, setName] = useState(() => {
    const now = new Date();
    return pourWords.poured(formatMoment(now.toISOString()));
  });
  const [tool, setTool] = useState<Tool>(usualTool(vessel));
  const [busy, setBusy] = useState(false);
  const isNamed = name.trim() !== '';
  return (
    <Dialog title={pourWords.finishTitle} open onClose={onClose}>
      <form
        className="grid gap-4"
        onSubmit={(event) => {
          event.preventDefault();
          if (busy || !isNamed) return;
          setBusy(true);
          void onKeep(name.trim(), tool);
        }}
      >
        <p>{pourWords.finishSays}</p>
        {unnamed > 0 && <p className="border-l-4 border-l-acid pl-3">{pourWords.unnamedStay(unnamed)}</p>}
        <Field
          label={pourWords.name}
          maxLength={120}
          value={name}
          onText={setName}
          problem={isNamed ? null : pourWords.nameWanted}
        />
        <div className="grid gap-1 font-semibold">
          {pourWords.mixedWith}
          <Choice
            label={pourWords.mixedWith}
            value={tool}
            options={TOOLS.map((value) => ({ value, label: TOOL_WORDS[value] }))}
            onChange={setTool}
            className="min-h-11 font-normal"
          />
        </div>
        <div className="flex flex-wrap gap-4">
          <Button kind="main" type="submit" data-next className="min-h-16 px-6" disabled={busy || !isNamed}>
            {pourWords.keepAndTaste}
          </Button>
          <Button className="min-h-16 px-5" onClick={onClose}>
            {pourWords.keepPouring}
          </Button>
        </div>
      </form>
    </Dialog>
  );
}
