/** Tools that break oil into drops: what they reach, how fast they take oil, how much they hold. All estimate, from ranges in McClements and in Walstra (from memory); whisk and shake fitted within their range. */
import type { Tool } from '#core/formula';

export interface ToolValues {
  /** Sauter mean diameter after `referenceS`, m. */
  readonly dropM: number;
  readonly referenceS: number;
  /** How fast longer mixing makes finer drops. */
  readonly exponent: number;
  readonly floorM: number;
  /** Standard deviation of ln d. */
  readonly spread: number;
  /** Shown range, µm. */
  readonly shownUm: readonly [number, number];
  /** Time in which it works in as much oil as there is emulsion, s; null: all at once. */
  readonly uptakeS: number | null;
  readonly leastMl: number;
  readonly mostMl: number;
  /** What it moves through itself, ml/s; null: all of it at once. */
  readonly flowMlPerS: number | null;
  /** Hands on: how much work a minute of it is. */
  readonly effort: 'light' | 'some' | 'hard' | 'machine';
  /** Heats and shears hard enough to turn extra-virgin oil bitter. */
  readonly shearsHard: boolean;
}

const tool = (
  um: number,
  referenceS: number,
  exponent: number,
  floorUm: number,
  spread: number,
  shownUm: readonly [number, number],
  uptakeS: number | null,
  [leastMl, mostMl]: readonly [number, number],
  flowMlPerS: number | null,
  effort: ToolValues['effort'],
  shearsHard = false,
): ToolValues => ({
  dropM: um * 1e-6,
  referenceS,
  exponent,
  floorM: floorUm * 1e-6,
  spread,
  shownUm,
  uptakeS,
  leastMl,
  mostMl,
  flowMlPerS,
  effort,
  shearsHard,
});

export const TOOL_VALUES: Readonly<Record<Tool, ToolValues>> = {
  fork: tool(260, 30, 0.3, 150, 0.6, [150, 600], 300, [30, 500], 10, 'light'),
  shake: tool(90, 30, 0.3, 50, 0.6, [50, 250], null, [50, 500], null, 'some'),
  whisk: tool(52, 60, 0.35, 12, 0.55, [15, 80], 125, [50, 600], 50, 'hard'),
  frother: tool(38, 30, 0.35, 12, 0.55, [15, 60], 60, [60, 200], 60, 'light'),
  mortar: tool(34, 120, 0.35, 10, 0.6, [12, 50], 150, [30, 250], 25, 'hard'),
  processor: tool(18, 60, 0.35, 6, 0.5, [8, 30], 30, [250, 1200], 250, 'machine', true),
  blender: tool(10, 45, 0.35, 4, 0.5, [4, 20], 22, [200, 1000], 400, 'machine', true),
  stick: tool(9, 30, 0.35, 4, 0.5, [3, 15], 15, [100, 1500], 500, 'machine', true),
  'stick-pro': tool(9, 30, 0.35, 4, 0.5, [3, 15], 15, [3000, 25_000], 1000, 'machine', true),
};

const MACHINES: ReadonlySet<Tool> = new Set(['processor', 'blender', 'stick', 'stick-pro']);
/** It cuts what is firm, not only stirs it. */
export const isMachine = (tool: Tool): boolean => MACHINES.has(tool);
