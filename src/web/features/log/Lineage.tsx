import { VERSION_STATE_WORDS } from '#words/version';
import { useMemo } from 'react';
import { Link } from 'react-router';
import { standingOf, versionState } from '#core/trial';
import { logWords } from '#words/screens/log';
import { useVersionsQuery } from '../../data/kitchenApi';
import type { Jar } from '../../data/jars';
import { useKitchen } from '../../data/kitchen';
import { lineageOf } from '#kitchen/reading';
import type { WorkingFormula } from '../../sync/working';

/** Which version grew from which, and how each has stood in the making. */
export function Lineage({ working, jars }: { working: WorkingFormula; jars: readonly Jar[] }) {
  const versions = useVersionsQuery(working.id).data;
  const { provenAfter } = useKitchen().settings;
  const rows = useMemo(() => lineageOf(versions ?? []), [versions]);
  if (rows.length === 0) return null;
  return (
    <section aria-label={logWords.lineage} className="card p-4">
      <div className="mb-1 flex items-baseline justify-between gap-2">
        <h2 className="font-name text-lg font-bold">{logWords.lineage}</h2>
        <Link to={`/formulas/${working.id}/versions`} className="text-leaf underline">
          {logWords.whatChanged}
        </Link>
      </div>
      <ol className="text-sm">
        {rows.map(({ version, depth, branches }) => {
          const own = jars.filter((jar) => jar.version === version.number);
          const { state, right, made } = versionState(
            own.map(({ events }) => standingOf(events)),
            provenAfter,
          );
          return (
            <li
              key={version.number}
              className="border-t border-rule py-1"
              style={{ paddingLeft: `${depth * 18}px` }}
            >
              <strong>v{version.number}</strong> {VERSION_STATE_WORDS[state]}
              {made > 0 && logWords.rightAsMadeRightOf(right, made)}
              {branches && version.parent !== null && logWords.branchedFromVParent(version.parent)}
              {version.note && <span className="text-quiet">: {version.note}</span>}
            </li>
          );
        })}
      </ol>
    </section>
  );
}
