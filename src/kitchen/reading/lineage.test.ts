import { expect, it } from 'vitest';
import { NOBODY, type VersionRecord } from '#contract';
import { emptyFormula, type VesselId } from '#core/formula';
import { lineageOf } from './lineage';

const version = (number: number, parent: number | null): VersionRecord => ({
  number,
  parent,
  note: '',
  formula: emptyFormula('x', 'jar' as VesselId, 'us'),
  by: NOBODY,
  createdAt: '2026-11-01T10:00:00.000Z',
});

it('follows the newest version back to the first; what left that line is set in', () => {
  const rows = lineageOf([version(1, null), version(2, 1), version(3, 1), version(4, 2), version(5, 3)]);
  expect(rows.map(({ version: v, depth, branches }) => [v.number, depth, branches])).toEqual([
    [5, 0, true],
    [4, 1, true],
    [3, 0, true],
    [2, 1, false],
    [1, 0, false],
  ]);
});
