import { NavLink } from 'react-router';

const STAGES = [
  { path: 'compose', label: 'Compose' },
  { path: 'make', label: 'Make' },
  { path: 'taste', label: 'Taste' },
  { path: 'batch', label: 'Batch' },
  { path: 'serve', label: 'Serve' },
  { path: 'versions', label: 'Versions' },
  { path: 'log', label: 'Log' },
] as const;

/** The stages of one formula, in working order. */
export function FormulaStages({ id }: { id: string }) {
  return (
    <nav aria-label="Stages" className="flex flex-wrap border-b-2 border-rule">
      {STAGES.map(({ path, label }) => (
        <NavLink
          key={path}
          to={`/formulas/${id}/${path}`}
          className={({ isActive }) =>
            `-mb-0.5 inline-flex min-h-9 items-center border-b-4 px-1.5 font-semibold sm:px-3 ${isActive ? 'border-bottle' : 'border-transparent text-quiet hover:border-rule'}`
          }
        >
          {label}
        </NavLink>
      ))}
    </nav>
  );
}
