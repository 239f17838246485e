/** Who and what is busy when: a lane a pair of hands, and one for each tool of a kind. */

export interface Crew {
  /** ≥ 1. */
  readonly cooks: number;
  /** How many there are of a tool; missing: one. */
  readonly tools?: Readonly<Partial<Record<string, number>>>;
}

export interface Busy {
  readonly startS: number;
  readonly endS: number;
}
export type Lane = Busy[];

export class Lanes {
  readonly hands: readonly Lane[];
  private readonly tools = new Map<string, readonly Lane[]>();

  constructor(private readonly crew: Crew) {
    this.hands = Array.from({ length: crew.cooks }, () => []);
  }

  /** Every way to give a task hands and a tool; where it needs none, a lane that nobody keeps. */
  for({ handsOn, tool }: { readonly handsOn: boolean; readonly tool: string | null }): readonly {
    readonly hand: Lane;
    readonly lane: Lane;
    readonly cook: number;
  }[] {
    return (handsOn ? this.hands : [[]]).flatMap((hand, cook) =>
      (tool === null ? [[]] : this.ofTool(tool)).map((lane) => ({ hand, lane, cook })),
    );
  }

  private ofTool(tool: string): readonly Lane[] {
    const count = Math.max(1, this.crew.tools?.[tool] ?? 1);
    const lanes = this.tools.get(tool) ?? Array.from({ length: count }, () => []);
    this.tools.set(tool, lanes);
    return lanes;
  }
}
