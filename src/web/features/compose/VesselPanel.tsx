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
import { sayError, useSaveVesselMutation } from '../../api/kitchenApi';
import { Jar } from '../../drawing/Jar';
import { readDecimal } from '../../readDecimal';
import { newId } from '../../store/device';
import { Button } from '../../ui/Button';
import { Choice } from '../../ui/Choice';
import { Field } from '../../ui/Field';
import { Panel } from '../../ui/Panel';

const SHAPE_NAMES: Record<VesselShape, string> = {
  jamJar: 'Jar with shoulders',
  swingTop: 'Bottle with a neck',
  preservingJar: 'Wide jar',
  squeezeBottle: 'Squeeze bottle',
  beaker: 'Beaker, slightly tapered',
  bowl: 'Bowl',
  tub: 'Tub',
  bucket: 'Bucket',
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
    <Panel title="A vessel of your own" open onClose={onClose}>
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
          <Field label="Name" value={name} onText={setName} placeholder="400 ml honey jar" />
          <Field
            label="Sold as, ml"
            value={nominal}
            onText={setNominal}
            placeholder="400"
            inputMode="decimal"
          />
          <Field
            label="To the very brim, ml"
            value={brimful}
            onText={setBrimful}
            placeholder={by === 'ruler' ? 'reckoned, or weigh water' : 'weigh it full of water'}
            inputMode="decimal"
          />
          <Choice
            label="How its shape is known"
            value={by}
            options={[
              { value: 'shape', label: 'Pick a shape' },
              { value: 'ruler', label: 'Measure with a ruler' },
            ]}
            onChange={setBy}
            className="self-end"
          />
        </div>
        {by === 'shape' ? (
          <Choice
            label="Shape"
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
          It closes and can be shaken
        </label>
        <div className="flex items-end gap-4">
          {made.status === 'made' && (
            <Jar
              vessel={made.vessel}
              parts={[]}
              width={130}
              height={150}
              label={`Drawing of ${made.vessel.name}`}
            />
          )}
          <p role="status" className="text-sm text-quiet">
            {saving.isError
              ? `Not kept. ${sayError(saving.error)}`
              : made.status === 'made'
                ? `Holds ${Math.round(made.vessel.brimfulVolumeMl)} ml to the brim.`
                : made.why}
          </p>
        </div>
        <div className="flex gap-3">
          <Button kind="main" type="submit" disabled={made.status !== 'made' || saving.isLoading}>
            Keep and use
          </Button>
          <Button onClick={onClose}>Leave</Button>
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
      <legend className="font-semibold">Inside, from the bottom up, mm</legend>
      <div className="grid grid-cols-[7rem_7rem_auto] gap-x-3 gap-y-1.5">
        <span className="text-sm text-quiet">height</span>
        <span className="text-sm text-quiet">width there</span>
        <span />
        {rows.map((row, index) => (
          <div key={index} className="contents">
            {(['height', 'width'] as const).map((field) => (
              <input
                key={field}
                className="field"
                inputMode="decimal"
                aria-label={`${field === 'height' ? 'Height' : 'Width'} ${index + 1}, mm`}
                value={row[field]}
                onChange={(event) => {
                  set(index, { [field]: event.target.value });
                }}
              />
            ))}
            <Button
              kind="quiet"
              disabled={rows.length <= 2}
              aria-label={`Take out row ${index + 1}`}
              onClick={() => {
                onChange(rows.filter((_, i) => i !== index));
              }}
            >
              Take out
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
        One more width
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
  if (!name) return notYet('Give it a name.');
  const brimful = typed.brimful.trim() ? readDecimal(typed.brimful) : null;
  if (typed.brimful.trim() && !(brimful && brimful > 0 && brimful <= LARGEST_ML)) {
    return notYet('The volume to the brim is a number of ml, such as 440.');
  }
  const shaped = outlineOf(typed, brimful);
  if (typeof shaped === 'string') return notYet(shaped);
  const brimfulVolumeMl = volumeBelowMl(shaped, brimHeightMm(shaped));
  const nominal = typed.nominal.trim() ? readDecimal(typed.nominal) : brimfulVolumeMl;
  if (!(nominal && nominal > 0 && nominal <= brimfulVolumeMl * 1.02)) {
    return notYet('What it is sold as is a number of ml, not more than it holds to the brim.');
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
    if (brimful === null) return 'Fill it to the brim with water and weigh it: 1 g is 1 ml.';
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
