import { useSaveShared } from '../../sync/useSaveShared';
import { useState } from 'react';
import { useFieldArray, type Control } from 'react-hook-form';
import { z } from 'zod';
import type { VesselId } from '#core/formula';
import {
  outlineFromMeasures,
  VESSEL_SHAPES,
  vesselOfShape,
  volumeBelowMl,
  brimHeightMm,
  type Outline,
  type Vessel,
  type VesselShape,
} from '#core/vessel';
import { sayMeasureProblem } from '#words/vessel';
import { composeWords } from '#words/screens/compose';
import { sayError } from '../../data/kitchenApi';
import { Jar } from '../../parts/drawing/Jar';
import { ChoiceField, ReadField, TextField, TickField } from '../../form/fields';
import { useDraft } from '../../form/useDraft';
import { newId } from '../../sync/device';
import { Button } from '../../ui/Button';
import { Dialog } from '../../ui/Dialog';

const SHAPE_NAMES: Record<VesselShape, string> = {
  jamJar: composeWords.jarWithShoulders,
  swingTop: composeWords.bottleWithANeck,
  preservingJar: composeWords.wideJar,
  squeezeBottle: composeWords.squeezeBottle,
  beaker: composeWords.beakerSlightlyTapered,
  bowl: composeWords.bowl,
  tub: composeWords.tub,
  bucket: composeWords.bucket,
};

const length = z.number().nullable();
/** As it is typed; what cannot be read is refused by its field. */
const typedSchema = z.strictObject({
  name: z.string(),
  nominalMl: length,
  brimfulMl: length,
  closes: z.boolean(),
  by: z.enum(['shape', 'ruler']),
  shape: z.enum(VESSEL_SHAPES),
  rows: z.array(z.strictObject({ heightMm: length, widthMm: length })).min(2),
});
type Typed = z.infer<typeof typedSchema>;
const START: Typed = {
  name: '',
  nominalMl: null,
  brimfulMl: null,
  closes: true,
  by: 'shape',
  shape: 'jamJar',
  rows: [
    { heightMm: 0, widthMm: null },
    { heightMm: null, widthMm: null },
  ],
};

/** A vessel of the kitchen's own: a shape of known volume, or heights and widths off a ruler. */
export function VesselPanel({ onMade, onClose }: { onMade: (id: VesselId) => void; onClose: () => void }) {
  const [save] = useSaveShared('vessel');
  const [id] = useState(() => `own_${newId()}` as VesselId);
  const draft = useDraft<Typed>({
    schema: typedSchema,
    start: START,
    save: async (typed) => {
      const vessel = makeVessel(id, typed);
      if (vessel.status !== 'made') return;
      await save(id, null, vessel.vessel);
      onMade(id);
      onClose();
    },
  });
  const { control } = draft.form;
  const typed = draft.form.watch();
  const made = makeVessel(id, typed);
  return (
    <Dialog title={composeWords.aVesselOfYourOwn} open onClose={onClose}>
      <form className="grid gap-3" onSubmit={draft.submit}>
        <div className="grid grid-cols-[minmax(0,1fr)] gap-3 sm:grid-cols-2">
          <TextField
            control={control}
            name="name"
            label={composeWords.name}
            placeholder={composeWords.n400MlHoneyJar}
          />
          <ReadField
            control={control}
            name="nominalMl"
            whenEmpty={null}
            label={composeWords.soldAsMl}
            placeholder="400"
          />
          <ReadField
            control={control}
            name="brimfulMl"
            whenEmpty={null}
            label={composeWords.toTheVeryBrimMl}
            placeholder={
              typed.by === 'ruler' ? composeWords.reckonedOrWeighWater : composeWords.weighItFullOfWater
            }
          />
          <ChoiceField
            control={control}
            name="by"
            label={composeWords.howItsShapeIsKnown}
            options={[
              { value: 'shape', label: composeWords.pickAShape },
              { value: 'ruler', label: composeWords.measureWithARuler },
            ]}
          />
        </div>
        {typed.by === 'shape' ? (
          <ChoiceField
            control={control}
            name="shape"
            label={composeWords.shape}
            options={VESSEL_SHAPES.map((value) => ({ value, label: SHAPE_NAMES[value] }))}
          />
        ) : (
          <RulerRows control={control} />
        )}
        <TickField control={control} name="closes" label={composeWords.itClosesAndCanBe} />
        <div className="flex items-end gap-4">
          {made.status === 'made' && (
            <Jar
              vessel={made.vessel}
              parts={[]}
              width={130}
              height={150}
              label={composeWords.drawingOfName(made.vessel.name)}
            />
          )}
          <p role="status" className="text-sm text-quiet">
            {draft.state === 'failed'
              ? composeWords.notKeptError(sayError(draft.error))
              : made.status === 'made'
                ? composeWords.holdsRoundMlToThe(Math.round(made.vessel.brimfulVolumeMl))
                : made.why}
          </p>
        </div>
        <div className="flex gap-3">
          <Button kind="main" type="submit" disabled={made.status !== 'made' || draft.state === 'saving'}>
            {composeWords.keepAndUse}
          </Button>
          <Button onClick={onClose}>{composeWords.leave}</Button>
        </div>
      </form>
    </Dialog>
  );
}

function RulerRows({ control }: { control: Control<Typed, unknown, Typed> }) {
  const { fields, append, remove } = useFieldArray({ control, name: 'rows' });
  return (
    <fieldset>
      <legend className="font-semibold">{composeWords.insideFromTheBottomUp}</legend>
      <div className="grid grid-cols-[7rem_7rem_auto] gap-x-3 gap-y-1.5">
        <span className="text-sm text-quiet">{composeWords.height}</span>
        <span className="text-sm text-quiet">{composeWords.widthThere}</span>
        <span />
        {fields.map((row, index) => (
          <div key={row.id} className="contents">
            <ReadField
              bare
              control={control}
              name={`rows.${index}.heightMm`}
              whenEmpty={null}
              label={composeWords.formPartMm(composeWords.height2, index + 1)}
            />
            <ReadField
              bare
              control={control}
              name={`rows.${index}.widthMm`}
              whenEmpty={null}
              label={composeWords.formPartMm(composeWords.width, index + 1)}
            />
            <Button
              kind="quiet"
              disabled={fields.length <= 2}
              aria-label={composeWords.takeOutRowPart(index + 1)}
              onClick={() => {
                remove(index);
              }}
            >
              {composeWords.takeOut}
            </Button>
          </div>
        ))}
      </div>
      <Button
        className="mt-2"
        onClick={() => {
          append({ heightMm: null, widthMm: null }, { shouldFocus: false });
        }}
      >
        {composeWords.oneMoreWidth}
      </Button>
    </fieldset>
  );
}

type Made =
  { readonly status: 'made'; readonly vessel: Vessel } | { readonly status: 'not-yet'; readonly why: string };

const LARGEST_ML = 200_000;
function makeVessel(id: VesselId, typed: Typed): Made {
  const notYet = (why: string): Made => ({ status: 'not-yet', why });
  const name = typed.name.trim();
  if (!name) return notYet(composeWords.giveItAName);
  const brimful = typed.brimfulMl;
  if (brimful !== null && !(brimful > 0 && brimful <= LARGEST_ML)) {
    return notYet(composeWords.theVolumeToTheBrim);
  }
  const shaped = outlineOf(typed, brimful);
  if (typeof shaped === 'string') return notYet(shaped);
  const brimfulVolumeMl = volumeBelowMl(shaped, brimHeightMm(shaped));
  const nominal = typed.nominalMl ?? brimfulVolumeMl;
  if (!(nominal > 0 && nominal <= brimfulVolumeMl * 1.02)) {
    return notYet(composeWords.whatItIsSoldAs);
  }
  const vessel = {
    id,
    name,
    nominalVolumeMl: nominal,
    brimfulVolumeMl,
    outline: shaped,
    closes: typed.closes,
  };
  return { status: 'made', vessel };
}

function outlineOf({ by, shape, rows }: Typed, brimful: number | null): Outline | string {
  if (by === 'shape') {
    if (brimful === null) return composeWords.fillItToTheBrim;
    const frame = {
      id: '' as VesselId,
      name: '',
      nominalVolumeMl: brimful,
      brimfulVolumeMl: brimful,
      closes: true,
    };
    return vesselOfShape(shape, frame).outline;
  }
  const measured = outlineFromMeasures(
    rows.map(({ heightMm, widthMm }) => ({ heightMm: heightMm ?? NaN, widthMm: widthMm ?? NaN })),
    brimful,
  );
  return measured.status === 'measured' ? measured.outline : sayMeasureProblem(measured.problem);
}
