import { partsWords } from '#words/screens/parts';
import { NavLink } from 'react-router';
import { stages } from './stages';

/** The stages of one formula, in working order. */
export function FormulaStages({ id }: { id: string }) {
  return (
    <nav
      aria-label={partsWords.stages}
      className="flex max-w-full overflow-x-auto border-b-2 border-rule [scrollbar-width:none]"
    >
      {stages().map(({ path, label }) => (
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
