import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { FormulaId } from '#core/formula';
import { complaintsOf, whatItComesTo, type KitchenJar, type MakingPlan, type TrialEvent } from '.';
import { added, line, logOf, tasted } from './testing';

const HOUSE = 'house' as FormulaId;
let count = 0;
/** The next day's jar. */
function jar(events: readonly TrialEvent[], bottles: Record<string, string> = {}, of = HOUSE): KitchenJar {
  count += 1;
  return {
    id: `jar-${count}`,
    formulaId: of,
    version: 1,
    at: new Date(Date.UTC(2026, 9, count)).toISOString(),
    lines: [line('rapeseed', 80)],
    making: { steps: [], bottles } as unknown as MakingPlan,
    events: logOf(events),
  };
}
const right = [tasted({ right: true })];
const sharp = [tasted({ rows: { acid: 1 } }), added(line('honey', 4)), tasted({ right: true })];
const salty = [tasted({ rows: { salt: 2 } })];
const NEW = { vin_cider5: 'new crate' };

describe('what the jars come to', () => {
  it('is what the mouth said at least twice, of the jar as made, with the jars', () => {
    const jars = [jar(sharp), jar(right), jar(sharp)];
    expect(whatItComesTo(jars)).toEqual([
      { formulaId: HOUSE, complaint: 'too-sharp', jarIds: [jars[0]!.id, jars[2]!.id], of: 3, since: null },
    ]);
  });

  it('is since a bottle where all of those jars and no other had it', () => {
    const jars = [jar(right, { vin_cider5: 'old' }), jar(right), jar(sharp, NEW), jar(sharp, NEW)];
    expect(whatItComesTo(jars)[0]).toMatchObject({
      complaint: 'too-sharp',
      since: { ingredientId: 'vin_cider5', bottle: 'new crate' },
    });
    // One that was right with it too, and it is not the bottle.
    expect(whatItComesTo([...jars, jar(right, NEW)]).at(0)?.since ?? null).toBeNull();
    // Every jar had it: nothing to hold it against.
    expect(whatItComesTo(jars.slice(2))[0]!.since).toBeNull();
  });

  it('says nothing of what came once, of less than half, or of jars that nobody tasted', () => {
    expect(whatItComesTo([jar(sharp), jar(salty), jar([])])).toEqual([]);
    expect(whatItComesTo([jar(sharp), jar(sharp), jar(right), jar(right), jar(right), jar(right)])).toEqual(
      expect.arrayContaining([expect.objectContaining({ complaint: null, of: 6 })]),
    );
  });

  it('is good news after three right in a row, and stands behind what went wrong', () => {
    const other = 'other' as FormulaId;
    const found = whatItComesTo([
      ...[jar(right), jar(right), jar(right)],
      ...[jar(sharp, {}, other), jar(sharp, {}, other)],
    ]);
    expect(found.map(({ complaint }) => complaint)).toEqual(['too-sharp', null]);
    expect(whatItComesTo([jar(right), jar(right)])).toEqual([]);
  });

  it('never names a jar that did not say it, whatever was said in which order', () => {
    const story = fc.constantFrom(right, sharp, salty, [] as TrialEvent[]);
    const bottle = fc.constantFrom({}, NEW, { vin_cider5: 'old' });
    fc.assert(
      fc.property(fc.array(fc.tuple(story, bottle), { maxLength: 12 }), (all) => {
        const jars = all.map(([events, bottles]) => jar(events, bottles));
        const byId = new Map(jars.map((one) => [one.id, one]));
        for (const { complaint, jarIds, of, since } of whatItComesTo([...jars].reverse())) {
          expect(jarIds.length).toBeLessThanOrEqual(of);
          for (const id of jarIds) {
            const first = byId.get(id)!.events.find(({ event }) => event.kind === 'tasted')!.event;
            const said = first.kind === 'tasted' ? complaintsOf(first).map((one) => one.complaint) : [];
            if (complaint === null) expect(said).toEqual([]);
            else expect(said).toContain(complaint);
            if (since) expect(byId.get(id)!.making!.bottles).toMatchObject({ vin_cider5: since.bottle });
          }
        }
      }),
    );
  });
});
