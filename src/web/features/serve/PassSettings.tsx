import { PORTION_TOOLS } from '#core/service';
import { passWords, PORTION_WORDS } from '#words/screens/pass';
import { Button } from '../../ui/Button';
import { Choice } from '../../ui/Choice';
import { Field } from '../../ui/Field';
import type { Pass } from './usePass';

/** What the pass is counted with. Opened by itself where something typed does not fit. */
export function PassSettings({ pass, open }: { pass: Pass; open: boolean }) {
  const { tool, texts, typed, set, events, beginAnew, bringBack, canBringBack } = pass;
  return (
    <details className="card p-4" open={open || undefined}>
      <summary className="font-name min-h-8 cursor-pointer font-bold">{passWords.settings}</summary>
      <div className="mt-2 flex flex-wrap items-start gap-4">
        <Field
          label={passWords.plates}
          inputMode="numeric"
          value={texts.plates}
          onText={(plates) => {
            set({ plates });
          }}
          problem={typed.plates.fits ? null : passWords.howManyPlates}
          className="w-28"
        />
        <Choice
          label={passWords.takenWith}
          value={tool}
          options={PORTION_TOOLS.map((value) => ({ value, label: PORTION_WORDS[value] }))}
          onChange={(value) => {
            set({ tool: value, toolMl: null });
          }}
        />
        <Field
          label={passWords.oneHolds}
          inputMode="decimal"
          value={texts.toolMl}
          onText={(toolMl) => {
            set({ toolMl });
          }}
          problem={typed.toolMl.fits ? null : passWords.aVolume}
          className="w-32"
        />
        <Field
          label={passWords.containerHolds}
          inputMode="decimal"
          value={texts.containerMl}
          onText={(containerMl) => {
            set({ containerMl });
          }}
          problem={typed.containerMl.fits ? null : passWords.aVolume}
          className="w-40"
        />
        <span className="mt-6 flex gap-3">
          <Button className="min-h-9" disabled={events.length === 0} onClick={beginAnew}>
            {passWords.beginAnew}
          </Button>
          {canBringBack && (
            <Button className="min-h-9" onClick={bringBack}>
              {passWords.bringItBack}
            </Button>
          )}
        </span>
      </div>
    </details>
  );
}
