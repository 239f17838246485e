/** Instruments at the counter as the screens meet them. */
import { z } from 'zod';
import { trialIdSchema } from './trial';

export const INSTRUMENTS = ['scale', 'thermometer', 'ph-meter'] as const;
export type Instrument = (typeof INSTRUMENTS)[number];

export interface InstrumentInfo {
  readonly id: string;
  readonly instrument: Instrument;
  readonly name: string;
  readonly source: 'simulated' | 'device';
  /** Smallest step it shows: g, °C or pH. */
  readonly readability: number;
  readonly capacity: number;
}

export type InstrumentReading =
  | {
      readonly status: 'ok';
      readonly value: number;
      /** It has settled. */
      readonly stable: boolean;
    }
  | { readonly status: 'overload' | 'unplugged' };

/** Which making has the scale. */
export interface ScaleClaim {
  readonly trialId: string;
  /** The one screen that takes readings by itself: two would both take each weight. */
  readonly screenId: string;
  /** What others see: formula and cook. */
  readonly label: string;
}

/** One message of the stream. */
export interface DevicesFrame {
  /** Of the server's steady clock, ms. */
  readonly atMs: number;
  /** Changes when the instruments were started anew: what a tare meant before is gone. */
  readonly boot: string;
  readonly readings: Readonly<Partial<Record<Instrument, InstrumentReading>>>;
  readonly claim: ScaleClaim | null;
}

export interface DevicesAnswer {
  readonly instruments: readonly InstrumentInfo[];
  readonly claim: ScaleClaim | null;
}

export const claimSchema = z.strictObject({
  trialId: trialIdSchema,
  screenId: z.string().min(1).max(64),
  label: z.string().max(200),
  /** Takes it from whoever has it. */
  takeOver: z.boolean().default(false),
});
export const tareSchema = z.strictObject({ trialId: trialIdSchema });

/** What the tester's hands do to the stand-ins. */
export const handSchema = z.discriminatedUnion('does', [
  /** Until told otherwise, or for {@link POUR_HOLDS_MS} at most. */
  z.strictObject({ does: z.literal('pour'), gPerS: z.number().min(0).max(500) }),
  z.strictObject({ does: z.literal('drop'), massG: z.number().min(-100_000).max(100_000) }),
  z.strictObject({ does: z.literal('clear') }),
  z.strictObject({ does: z.literal('plug'), in: z.boolean() }),
  z.strictObject({ does: z.literal('dip'), temperatureC: z.number().min(-30).max(150) }),
  z.strictObject({ does: z.literal('dip-ph'), ph: z.number().min(0).max(14) }),
]);
export type Hand = z.infer<typeof handSchema>;
/** A hand that is no longer heard of has let go. */
export const POUR_HOLDS_MS = 1500;
