import { useMemo } from 'react';
import { Link } from 'react-router';
import { sharedBases, type DressingOfTheDay, type SharedBase } from '#core/batch';
import { sayDuration } from '#words/hold';
import { formatVolume, listed } from '#words/numbers';
import { planWords } from '#words/screens/plan';
import { madeId, readMadeId } from '#core/ingredient';
import { readVersion, usualVersion } from '#kitchen/batch';
import type { Kitchen } from '#kitchen/reading';
import { useStandingsOf, useVersionsOf } from '../../data/ofEach';
import { litresFor, type Covered } from './takeOn';

interface SharedBasesProps {
  readonly day: string;
  /** What that day still has to make. */
  readonly toMake: readonly Covered[];
  readonly kitchen: Kitchen;
  readonly nameOf: (formulaId: string) => string;
}

/** Dressings of a day that have one base in them: make it once. */
export function SharedBases({ day, toMake, kitchen, nameOf }: SharedBasesProps) {
  const found = useShared(toMake, kitchen);
  return found.map((shared) => (
    <section
      key={shared.base.id}
      aria-label={planWords.oneBaseForSeveral}
      data-testid="shared-base"
      className="grid gap-1 border-l-4 border-l-leaf pl-3"
    >
      <p>
        <strong>
          {planWords.shareTheBase(
            listed([
              ...shared.into.map(({ formulaId }) => nameOf(formulaId)),
              ...(shared.plainMl > 0 ? [planWords.itself] : []),
            ]),
            shared.base.name,
          )}
        </strong>{' '}
        {planWords.makeItOnce(
          formatVolume(shared.totalMl, kitchen.settings),
          sayDuration(shared.savedS),
          shared.savedWashings,
        )}
      </p>
      <Link
        to={toItsBatch(shared, day)}
        className="flex min-h-8 items-center font-semibold text-leaf underline"
      >
        {planWords.planTheBaseOnce}
      </Link>
    </section>
  ));
}

function useShared(toMake: readonly Covered[], kitchen: Kitchen): readonly SharedBase[] {
  const ids = toMake.map(({ formulaId }) => formulaId);
  const versions = useVersionsOf(ids);
  const standings = useStandingsOf(ids);
  const asked = JSON.stringify(toMake.map(({ formulaId, missingMl }) => [formulaId, missingMl]));
  return useMemo(() => {
    const dressings = (JSON.parse(asked) as [string, number][]).flatMap(
      ([formulaId, volumeMl]): DressingOfTheDay[] => {
        const own = versions[formulaId] ?? [];
        const number = usualVersion(standings[formulaId], Math.max(0, ...own.map((one) => one.number)));
        const version = own.find((one) => one.number === number);
        return version
          ? [
              {
                formulaId,
                madeAs: madeId(formulaId, number),
                volumeMl,
                lines: readVersion(version, kitchen).lines,
              },
            ]
          : [];
      },
    );
    return sharedBases(dressings, kitchen.settings.batch.lossShare);
  }, [asked, versions, standings, kitchen]);
}

/** Rounded up, each share and then all of it: what is poured on is never more than there is. */
function toItsBatch({ base, into, plainMl }: SharedBase, day: string): string {
  const { formulaId = '', version = 0 } = readMadeId(base.id) ?? {};
  const shares = into.map((one) => ({ id: one.formulaId, litres: litresFor(one.baseMl) }));
  const litres = shares.reduce((sum, one) => sum + one.litres, litresFor(plainMl));
  const search = new URLSearchParams({
    v: String(version),
    by: 'volume',
    amount: String(Number(litres.toFixed(1))),
    split: shares.map((one) => `${one.id}:${one.litres}`).join('|'),
    day,
  });
  return `/formulas/${formulaId}/batch?${search.toString()}`;
}
