/**
 * Weighings as a scale would show them, made up from what hands do over it. Shares no code with what reads them.
 *   load cell  dx/dt = (load − x)/τ, τ 0.12 to 0.35 s; noise 0.15 to 0.6 steps; drift up to 0.012 g/s either way
 *   shown      rounded to the step of the scale, 2 to 10 times a second, its clock off by up to a tenth
 * All values: estimate, fixed before anything was read by them.
 */
export interface Poured {
  readonly massG: number;
  readonly fromS: number;
  readonly toS: number;
}
export interface Trace {
  readonly readings: readonly { readonly atS: number; readonly grams: number }[];
  readonly poured: readonly Poured[];
  readonly stepG: number;
  readonly says: string;
}
export interface TraceSetting {
  readonly stepG: number;
  readonly perSecond: number;
}

/** Of its own, so that nothing is shared. */
function lottery(seed: number): (low: number, high: number) => number {
  let state = seed >>> 0;
  return (low, high) => {
    state = (state + 0x6d2b79f5) >>> 0;
    let t = state;
    t = Math.imul(t ^ (t >>> 15), t | 1);
    t ^= t + Math.imul(t ^ (t >>> 7), t | 61);
    return low + ((high - low) * ((t ^ (t >>> 14)) >>> 0)) / 4_294_967_296;
  };
}

/** Straight pieces of the load: until then, so much. */
interface Piece {
  readonly toS: number;
  readonly toG: number;
}

class Hands {
  readonly poured: Poured[] = [];
  readonly pieces: Piece[] = [{ toS: 0, toG: 0 }];
  readonly did: string[] = [];
  constructor(
    private readonly draw: (low: number, high: number) => number,
    private readonly stepG: number,
  ) {}
  get atS(): number {
    return this.pieces.at(-1)!.toS;
  }
  get loadG(): number {
    return this.pieces.at(-1)!.toG;
  }
  private to(seconds: number, loadG: number): void {
    this.pieces.push({ toS: this.atS + seconds, toG: loadG });
  }
  wait(low = 2, high = 7): void {
    this.to(this.draw(low, high), this.loadG);
  }
  jar(): void {
    this.to(this.draw(0.1, 0.3), this.loadG + this.draw(180, 420));
    this.wait();
    this.did.push('jar');
  }
  /** A hand's pour swells, runs and falls off. */
  stream(most = 30): void {
    const fromS = this.atS;
    const rate = this.draw(0, 1) < 0.25 ? this.draw(1, 3) : this.draw(4, most);
    const massG = Math.max(rate * this.draw(2, 9), 4 * this.stepG);
    const [swell, fall] = [this.draw(0.2, 0.7), this.draw(0.2, 0.6)];
    const start = this.loadG;
    this.to(swell, start + (rate * swell) / 2);
    const wobble = Math.floor(this.draw(1, 4));
    const steady = massG - (rate * (swell + fall)) / 2;
    for (let i = 1; i <= wobble && steady > 0; i++)
      this.to(
        (steady / rate / wobble) * this.draw(0.8, 1.25),
        start + (rate * swell) / 2 + (steady * i) / wobble,
      );
    this.to(fall, Math.max(this.loadG, start + massG));
    this.poured.push({ massG: this.loadG - start, fromS, toS: this.atS });
    this.did.push('stream');
  }
  spoonful(): void {
    const fromS = this.atS;
    const massG = Math.max(this.draw(4, 22), 3 * this.stepG);
    const start = this.loadG;
    this.to(this.draw(0.1, 0.5), start + massG);
    this.poured.push({ massG, fromS, toS: this.atS });
    this.did.push('spoonful');
  }
  pinch(): void {
    if (this.stepG > 0.5) return;
    const fromS = this.atS;
    const massG = this.draw(0.5, 1.4);
    this.to(this.draw(0.2, 1), this.loadG + massG);
    this.poured.push({ massG, fromS, toS: this.atS });
    this.did.push('pinch');
  }
  /** One runs into the other, much faster or much slower; or a spoonful falls at the end of a stream. */
  twoAtOnce(): void {
    const [slow, fast] = [this.draw(3, 6), this.draw(16, 30)];
    const pair = this.draw(0, 1) < 0.5 ? [slow, fast] : [fast, slow];
    for (const rate of pair) {
      const fromS = this.atS;
      const massG = Math.max(rate * this.draw(3, 5), 5 * this.stepG);
      this.to(massG / rate, this.loadG + massG);
      this.poured.push({ massG, fromS, toS: this.atS });
    }
    this.did.push('two at once');
  }
  tap(): void {
    const level = this.loadG;
    this.to(0.05, level + this.draw(3, 60));
    this.to(this.draw(0.05, 0.25), this.loadG);
    this.to(0.05, level);
    this.did.push('tap');
  }
  knock(): void {
    const level = this.loadG;
    this.to(0.04, level - this.draw(10, 80));
    this.to(0.06, level + this.draw(5, 60));
    this.to(0.05, level);
    this.did.push('knock');
  }
  lift(shakes: boolean): void {
    const level = this.loadG;
    this.to(this.draw(0.15, 0.5), 0);
    this.to(shakes ? this.draw(8, 25) : this.draw(2, 9), 0);
    this.to(this.draw(0.15, 0.5), level);
    this.did.push(shakes ? 'shake' : 'lift');
  }
}

/** One trace, the same for the same seed and setting. */
export function traceOf(seed: number, { stepG, perSecond }: TraceSetting): Trace {
  const draw = lottery(seed);
  const hands = new Hands(draw, stepG);
  const tares: number[] = [];
  hands.wait(1.5, 3);
  if (draw(0, 1) < 0.8) hands.jar();
  const acts = Math.floor(draw(3, 9));
  for (let i = 0; i < acts; i++) {
    const what = draw(0, 1);
    if (what < 0.3) hands.stream();
    else if (what < 0.48) hands.spoonful();
    else if (what < 0.6) hands.pinch();
    else if (what < 0.68) hands.twoAtOnce();
    else if (what < 0.76) hands.tap();
    else if (what < 0.82) hands.knock();
    else if (what < 0.9) hands.lift(draw(0, 1) < 0.4);
    else tares.push(hands.atS + 0.3);
    hands.wait();
  }
  return {
    readings: shown(hands.pieces, tares, draw, { stepG, perSecond }),
    poured: hands.poured,
    stepG,
    says: hands.did.join(', '),
  };
}

function shown(
  pieces: readonly Piece[],
  tares: readonly number[],
  draw: (low: number, high: number) => number,
  { stepG, perSecond }: TraceSetting,
): Trace['readings'] {
  const [tau, noise, drift] = [draw(0.12, 0.35), draw(0.15, 0.6) * stepG, draw(-0.012, 0.012)];
  const normal = (): number => Math.sqrt(-2 * Math.log(draw(1e-9, 1))) * Math.cos(2 * Math.PI * draw(0, 1));
  const readings: { atS: number; grams: number }[] = [];
  const [dt, endS] = [0.01, pieces.at(-1)!.toS];
  let [cell, tare, next, piece, tared] = [0, 0, 0, 1, 0];
  for (let t = 0; t <= endS; t += dt) {
    while (piece < pieces.length - 1 && pieces[piece]!.toS < t) piece++;
    const [a, b] = [pieces[piece - 1]!, pieces[piece]!];
    const share = b.toS > a.toS ? Math.min(1, Math.max(0, (t - a.toS) / (b.toS - a.toS))) : 1;
    cell += (a.toG + (b.toG - a.toG) * share - cell) * (1 - Math.exp(-dt / tau));
    const gross = cell + drift * t;
    if (tared < tares.length && t >= tares[tared]!) {
      tare = gross;
      tared++;
    }
    if (t < next) continue;
    readings.push({
      atS: Math.round(t * 1000) / 1000,
      grams: Number((Math.round((gross - tare + noise * normal()) / stepG) * stepG).toFixed(3)),
    });
    next += draw(0.9, 1.1) / perSecond;
  }
  return readings;
}

/** Half of them as one would tune to, half fixed beforehand and never tuned to. */
export const TUNED: readonly TraceSetting[] = [
  { stepG: 0.1, perSecond: 10 },
  { stepG: 1, perSecond: 5 },
];
export const HELD_OUT: readonly TraceSetting[] = [
  { stepG: 0.1, perSecond: 4 },
  { stepG: 1, perSecond: 10 },
  { stepG: 5, perSecond: 5 },
  { stepG: 0.1, perSecond: 2 },
];
/** Of the pours this share is found, within 1 g, 3 % or (of a coarse scale) its step; none is invented. */
export const FOUND_SHARE = 0.97;
export const FOUND_WITHIN = { massG: 1, share: 0.03, steps: 1 } as const;
