import { useState } from 'react';
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
import { sayError, useSaveVesselMutation } from '../../data/kitchenApi';
import { Jar } from '../../parts/drawing/Jar';
import { readDecimal } from '../../ui/readDecimal';
import { newId } from '../../sync/device';
import { Button } from '../../ui/Button';
import { Choice } from '../../ui/Choice';
import { Field } from '../../ui/Field';
import { Panel } from '../../ui/Panel';

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

interface Row {
  readonly height: string;
  readonly width: string;
}
const FIRST_ROWS: readonly Row[] = [
  { height: '0', width: '' },
  { height: '', width: '' },
];

/** A vessel of the kitchen's own: a shape of known volume, or heights and widths off a ruler. */
export function VesselPanel({ onMade, onClose }: { onMade: (id: VesselId) => void; onClose: () => void }) {
  const [name, setName] = useState('');
  const [nominal, setNominal] = useState('');
  const [brimful, setBrimful] = useState('');
  const [closes, setCloses] = useState(true);
  const [by, setBy] = useState<'shape' | 'ruler'>('shape');
  const [shape, setShape] = useState<VesselShape>('jamJar');
  const [rows, setRows] = useState(FIRST_ROWS);
  const [save, saving] = useSaveVesselMutation();
  const [id] = useState(() => `own_${newId()}` as VesselId);
  const made = makeVessel(id, { name, nominal, brimful, closes, by, shape, rows });
  return (
    <Panel title={composeWords.aVesselOfYourOwn} open onClose={onClose}>
      <form
        className="grid gap-3"
        onSubmit={(event) => {
          event.preventDefault();
          if (made.status !== 'made') return;
          void save(made.vessel)
            .unwrap()
            .then(
              () => {
                onMade(id);
                onClose();
              },
              () => undefined,
            );
        }}
      >
        <div className="grid gap-3 sm:grid-cols-2">
          <Field
            label={composeWords.name}
            value={name}
            onText={setName}
            placeholder={composeWords.n400MlHoneyJar}
          />
          <Field
            label={composeWords.soldAsMl}
            value={nominal}
            onText={setNominal}
            placeholder="400"
            inputMode="decimal"
          />
          <Field
            label={composeWords.toTheVeryBrimMl}
            value={brimful}
            onText={setBrimful}
            placeholder={by === 'ruler' ? composeWords.reckonedOrWeighWater : composeWords.weighItFullOfWater}
            inputMode="decimal"
          />
          <Choice
            label={composeWords.howItsShapeIsKnown}
            value={by}
            options={[
              { value: 'shape', label: composeWords.pickAShape },
              { value: 'ruler', label: composeWords.measureWithARuler },
            ]}
            onChange={setBy}
            className="self-end"
          />
        </div>
        {by === 'shape' ? (
          <Choice
            label={composeWords.shape}
            value={shape}
            options={VESSEL_SHAPES.map((value) => ({ value, label: SHAPE_NAMES[value] }))}
            onChange={setShape}
          />
        ) : (
          <RulerRows rows={rows} onChange={setRows} />
        )}
        <label className="flex min-h-8 items-center gap-2">
          <input
            type="checkbox"
            className="size-4 accent-bottle"
            checked={closes}
            onChange={(event) => {
              setCloses(event.target.checked);
            }}
          />
          {composeWords.itClosesAndCanBe}
        </label>
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
            {saving.isError
              ? composeWords.notKeptError(sayError(saving.error))
              : made.status === 'made'
                ? composeWords.holdsRoundMlToThe(Math.round(made.vessel.brimfulVolumeMl))
                : made.why}
          </p>
        </div>
        <div className="flex gap-3">
          <Button kind="main" type="submit" disabled={made.status !== 'made' || saving.isLoading}>
            {composeWords.keepAndUse}
          </Button>
          <Button onClick={onClose}>{composeWords.leave}</Button>
        </div>
      </form>
    </Panel>
  );
}

function RulerRows({ rows, onChange }: { rows: readonly Row[]; onChange: (rows: readonly Row[]) => void }) {
  const set = (index: number, patch: Partial<Row>): void => {
    onChange(rows.map((row, i) => (i === index ? { ...row, ...patch } : row)));
  };
  return (
    <fieldset>
      <legend className="font-semibold">{composeWords.insideFromTheBottomUp}</legend>
      <div className="grid grid-cols-[7rem_7rem_auto] gap-x-3 gap-y-1.5">
        <span className="text-sm text-quiet">{composeWords.height}</span>
        <span className="text-sm text-quiet">{composeWords.widthThere}</span>
        <span />
        {rows.map((row, index) => (
          <div key={index} className="contents">
            {(['height', 'width'] as const).map((field) => (
              <input
                key={field}
                className="field"
                inputMode="decimal"
                aria-label={composeWords.formPartMm(
                  field === 'height' ? composeWords.height2 : composeWords.width,
                  index + 1,
                )}
                value={row[field]}
                onChange={(event) => {
                  set(index, { [field]: event.target.value });
                }}
              />
            ))}
            <Button
              kind="quiet"
              disabled={rows.length <= 2}
              aria-label={composeWords.takeOutRowPart(index + 1)}
              onClick={() => {
                onChange(rows.filter((_, i) => i !== index));
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
          onChange([...rows, { height: '', width: '' }]);
        }}
      >
        {composeWords.oneMoreWidth}
      </Button>
    </fieldset>
  );
}

interface Typed {
  readonly name: string;
  readonly nominal: string;
  readonly brimful: string;
  readonly closes: boolean;
  readonly by: 'shape' | 'ruler';
  readonly shape: VesselShape;
  readonly rows: readonly Row[];
}
type Made =
  { readonly status: 'made'; readonly vessel: Vessel } | { readonly status: 'not-yet'; readonly why: string };

const LARGEST_ML = 200_000;
function makeVessel(id: VesselId, typed: Typed): Made {
  const notYet = (why: string): Made => ({ status: 'not-yet', why });
  const name = typed.name.trim();
  if (!name) return notYet(composeWords.giveItAName);
  const brimful = typed.brimful.trim() ? readDecimal(typed.brimful) : null;
  if (typed.brimful.trim() && !(brimful && brimful > 0 && brimful <= LARGEST_ML)) {
    return notYet(composeWords.theVolumeToTheBrim);
  }
  const shaped = outlineOf(typed, brimful);
  if (typeof shaped === 'string') return notYet(shaped);
  const brimfulVolumeMl = volumeBelowMl(shaped, brimHeightMm(shaped));
  const nominal = typed.nominal.trim() ? readDecimal(typed.nominal) : brimfulVolumeMl;
  if (!(nominal && nominal > 0 && nominal <= brimfulVolumeMl * 1.02)) {
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
    rows.map(({ height, width }) => ({
      heightMm: readDecimal(height) ?? NaN,
      widthMm: readDecimal(width) ?? NaN,
    })),
    brimful,
  );
  return measured.status === 'measured' ? measured.outline : sayMeasureProblem(measured.problem);
}
