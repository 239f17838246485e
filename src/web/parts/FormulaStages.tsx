import { frameWords } from '#words/screens/frame';
import { NavLink } from 'react-router';

const STAGES = [
  { path: 'compose', label: frameWords.compose },
  { path: 'make', label: frameWords.make },
  { path: 'taste', label: frameWords.taste },
  { path: 'batch', label: frameWords.batch },
  { path: 'serve', label: frameWords.serve },
  { path: 'versions', label: frameWords.versions },
  { path: 'log', label: frameWords.log },
] as const;

/** The stages of one formula, in working order. */
export function FormulaStages({ id }: { id: string }) {
  return (
    <nav aria-label={frameWords.stages} className="flex flex-wrap border-b-2 border-rule">
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
