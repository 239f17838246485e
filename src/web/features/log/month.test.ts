import { expect, it } from 'vitest';
import { daysOfMonth, monthBeside, monthOf } from './month';

it('a month has its days, leap years too', () => {
  expect(daysOfMonth('2026-11')).toHaveLength(30);
  expect(daysOfMonth('2024-02').at(-1)).toBe('2024-02-29');
  expect(daysOfMonth('2025-02').at(-1)).toBe('2025-02-28');
  expect(monthOf('2026-11-28')).toBe('2026-11');
});

it('the month before January is December of the year before', () => {
  expect(monthBeside('2026-01', -1)).toBe('2025-12');
  expect(monthBeside('2025-12', 1)).toBe('2026-01');
  expect(monthBeside(monthBeside('2026-03', 14), -14)).toBe('2026-03');
});
