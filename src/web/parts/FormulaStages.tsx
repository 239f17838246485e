import { partsWords } from '#words/screens/parts';
import { NavLink } from 'react-router';

export const STAGES = [
  { path: 'compose', label: partsWords.compose },
  { path: 'make', label: partsWords.make },
  { path: 'taste', label: partsWords.taste },
  { path: 'batch', label: partsWords.batch },
  { path: 'serve', label: partsWords.serve },
  { path: 'versions', label: partsWords.versions },
  { path: 'log', label: partsWords.log },
] as const;

/** The stages of one formula, in working order. */
export function FormulaStages({ id }: { id: string }) {
  return (
    <nav
      aria-label={partsWords.stages}
      className="flex max-w-full overflow-x-auto border-b-2 border-rule [scrollbar-width:none]"
    >
      {STAGES.map(({ path, label }) => (
        <NavLink
          key={path}
          to={`/formulas/${id}/${path}`}
          className={({ isActive }) =>
            `-mb-0.5 inline-flex min-h-9 shrink-0 items-center border-b-4 px-1.5 font-semibold sm:px-3 ${isActive ? 'border-leaf' : 'border-transparent text-quiet hover:border-rule'}`
          }
        >
          {label}
        </NavLink>
      ))}
    </nav>
  );
}
