/** Vessels of a kitchen. Shapes are our own estimates of common glass; brimful volumes: estimate. */
import type { VesselId } from '#core/formula';
import { scaleToBrimful, type Outline, type OutlinePoint } from './shape';

export interface Vessel {
  readonly id: VesselId;
  readonly name: string;
  /** What is printed on it or sold as, ml. */
  readonly nominalVolumeMl: number;
  /** Filled to the very brim, ml. */
  readonly brimfulVolumeMl: number;
  readonly outline: Outline;
  /** Can be closed and shaken. */
  readonly closes: boolean;
}

type Profile = readonly (readonly [height: number, radius: number])[];

/** Proportions only; every vessel is scaled to its own brimful volume. */
export const PROFILES = {
  jamJar: [
    [0, 30],
    [3, 34],
    [72, 34],
    [82, 29],
    [92, 29],
  ],
  swingTop: [
    [0, 33],
    [5, 38],
    [150, 38],
    [172, 31],
    [186, 21],
    [200, 20],
  ],
  preservingJar: [
    [0, 44],
    [4, 48],
    [118, 48],
    [128, 43],
    [142, 43],
  ],
  squeezeBottle: [
    [0, 30],
    [3, 33],
    [150, 33],
    [166, 24],
    [172, 24],
  ],
  beaker: [
    [0, 36],
    [160, 42],
  ],
  bowl: [
    [0, 30],
    [6, 52],
    [20, 76],
    [42, 96],
    [78, 108],
  ],
  tub: [
    [0, 84],
    [4, 88],
    [170, 100],
  ],
  bucket: [
    [0, 112],
    [6, 118],
    [265, 134],
  ],
} as const satisfies Record<string, Profile>;

const CORNER_MM = 6;

export type VesselShape = keyof typeof PROFILES;
export const VESSEL_SHAPES = Object.keys(PROFILES) as readonly VesselShape[];

/** A vessel of a known shape that holds `brimfulVolumeMl` (> 0, ml) to the brim. */
export function vesselOfShape(shape: VesselShape, from: Omit<Vessel, 'outline'>): Vessel {
  const corners = PROFILES[shape].map(([heightMm, radiusMm]) => ({ heightMm, radiusMm }));
  return { ...from, outline: scaleToBrimful(rounded(corners, CORNER_MM), from.brimfulVolumeMl) };
}

function vessel(
  id: string,
  name: string,
  profile: VesselShape,
  nominalVolumeMl: number,
  brimfulVolumeMl: number,
  closes = true,
): Vessel {
  return vesselOfShape(profile, {
    id: id as VesselId,
    name,
    nominalVolumeMl,
    brimfulVolumeMl,
    closes,
  });
}

/** Glass has no corners: cuts each one off `cutMm` before and after it, then once more. Bottom and brim stay. */
function rounded(outline: Outline, cutMm: number): Outline {
  if (cutMm < 1) return outline;
  const last = outline.length - 1;
  const cut = outline.flatMap((corner, i) => {
    if (i === 0 || i === last) return [corner];
    return [towards(corner, outline[i - 1]!, cutMm), towards(corner, outline[i + 1]!, cutMm)];
  });
  return rounded(cut, cutMm / 2.5);
}

/** The point `mm` away from `from` on the way to `to`, at most two fifths of the way. */
function towards(from: OutlinePoint, to: OutlinePoint, mm: number): OutlinePoint {
  const [rise, out] = [to.heightMm - from.heightMm, to.radiusMm - from.radiusMm];
  const t = Math.min(0.4, mm / Math.hypot(rise, out));
  return { heightMm: from.heightMm + t * rise, radiusMm: from.radiusMm + t * out };
}

/** What a new kitchen starts with. */
export const STARTING_VESSELS: readonly Vessel[] = [
  vessel('jam_jar_200', '200 ml jam jar', 'jamJar', 200, 228),
  vessel('jam_jar_350', '350 ml jam jar', 'jamJar', 350, 385),
  vessel('swing_top_500', '500 ml swing-top', 'swingTop', 500, 545),
  vessel('preserving_jar_500', '500 ml preserving jar', 'preservingJar', 500, 560),
  vessel('preserving_jar_1000', '1 l preserving jar', 'preservingJar', 1000, 1080),
  vessel('squeeze_bottle_750', '750 ml squeeze bottle', 'squeezeBottle', 750, 800),
  vessel('beaker_800', '800 ml blender beaker', 'beaker', 800, 860, false),
  vessel('bowl_1500', '1.5 l mixing bowl', 'bowl', 1500, 1750, false),
  vessel('tub_2500', '2.5 l tub', 'tub', 2500, 2750, false),
  vessel('tub_5000', '5 l tub', 'tub', 5000, 5500, false),
  vessel('bucket_10000', '10 l bucket', 'bucket', 10_000, 11_000, false),
  vessel('bucket_20000', '20 l bucket', 'bucket', 20_000, 22_000, false),
];

export const DEFAULT_VESSEL_ID = 'swing_top_500' as VesselId;
