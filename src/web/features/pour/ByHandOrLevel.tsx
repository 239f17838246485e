import { useState } from 'react';
import { readLines, type VesselId } from '#core/formula';
import type { Vessel } from '#core/vessel';
import { contextFor, type Kitchen } from '#kitchen/reading';
import type { PouredThing } from '#kitchen/pour';
import { emptyFormula } from '#core/formula';
import { formatAmount } from '#words/numbers';
import { pourWords } from '#words/screens/pour';
import { typedNumber } from '../../form/typed';
import { newId } from '../../sync/device';
import { Button } from '../../ui/Button';
import { Choice } from '../../ui/Choice';
import { Field } from '../../ui/Field';
import { SayField } from './SayField';

interface ByHandOrLevelProps {
  readonly kitchen: Kitchen;
  readonly vessel: Vessel;
  /** What is in it, ml. */
  readonly volumeMl: number;
  readonly onVessel: (id: VesselId) => void;
  readonly onThings: (things: readonly PouredThing[]) => void;
}

const TYPED = { source: 'typed', deviceId: '' } as const;
/** A level that rose by less was a spoonful; tag: estimate. */
const SPOONFUL_ML = 15;

/** What no scale saw: spoons that were counted, or how far the jar is filled now. */
export function ByHandOrLevel(props: ByHandOrLevelProps) {
  const { kitchen, vessel, onVessel } = props;
  return (
    <section aria-label={pourWords.withoutScale} className="card grid gap-4 p-4">
      <SayField
        field="line"
        label={pourWords.typeLine}
        placeholder={pourWords.lineExample}
        button={pourWords.put}
        onSay={(text) => {
          const read = thingsIn(text, kitchen);
          if (typeof read === 'string') return read;
          props.onThings(read);
          return null;
        }}
      />
      <div className="flex flex-wrap items-start gap-4">
        <div className="grid min-w-44 flex-1 content-start gap-1 font-semibold">
          {pourWords.vessel}
          <Choice
            label={pourWords.vessel}
            value={vessel.id}
            options={kitchen.vessels.map(({ id, name }) => ({ value: id, label: name }))}
            onChange={onVessel}
            className="min-h-11 font-normal"
          />
        </div>
        <Level {...props} />
      </div>
    </section>
  );
}

/** @returns what is wrong with it, where it cannot be put down */
function thingsIn(text: string, kitchen: Kitchen): readonly PouredThing[] | string {
  const context = contextFor(emptyFormula('', kitchen.vessels[0]!.id, kitchen.settings.spoons), kitchen);
  const things: PouredThing[] = [];
  const now = Date.now();
  for (const line of readLines(text, context)) {
    const { reading, amountText, form } = line;
    if (reading.status !== 'read') return pourWords.cannotRead(text);
    const massG = reading.massG.nominal;
    if (!(massG > 0)) return pourWords.howMuchOf(reading.ingredient.name);
    things.push({
      id: newId(),
      fromMs: now + things.length,
      atMs: now + things.length,
      massG,
      raisedMl: null,
      kind: 'spoonful',
      ingredientId: reading.ingredient.id,
      form,
      said: amountText,
      reading: TYPED,
    });
  }
  return things.length > 0 ? things : pourWords.cannotRead(text);
}

function Level({ kitchen: { settings }, vessel, volumeMl, onThings }: ByHandOrLevelProps) {
  const [text, setText] = useState('');
  const { value, fits, blank } = typedNumber(text, { above: volumeMl, to: vessel.brimfulVolumeMl });
  const now = formatAmount(volumeMl, 'ml', settings);
  const brimful = formatAmount(vessel.brimfulVolumeMl, 'ml', settings);
  return (
    <form
      className="flex flex-wrap items-start gap-4"
      onSubmit={(event) => {
        event.preventDefault();
        if (!fits) return;
        const raisedMl = value - volumeMl;
        const now = Date.now();
        onThings([
          {
            id: newId(),
            fromMs: now,
            atMs: now,
            massG: null,
            raisedMl,
            kind: raisedMl < SPOONFUL_ML ? 'spoonful' : 'stream',
            ingredientId: null,
            form: '',
            said: '',
            reading: TYPED,
          },
        ]);
        setText('');
      }}
    >
      <Field
        label={pourWords.levelNow}
        className="w-40"
        inputMode="decimal"
        value={text}
        onText={setText}
        hint={pourWords.levelHint(now, brimful)}
        problem={blank || fits ? null : pourWords.levelProblem(now, brimful)}
      />
      <Button type="submit" className="sm:mt-7 min-h-11 px-5" disabled={!fits}>
        {pourWords.readLevel}
      </Button>
    </form>
  );
}
