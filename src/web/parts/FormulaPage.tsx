import type { ReactNode } from 'react';
import { Link, useParams } from 'react-router';
import type { FormulaId } from '#core/formula';
import { partsWords } from '#words/screens/parts';
import { useJars, type Jar } from '../data/jars';
import { useWorking } from '../sync/useWorking';
import type { WorkingFormula } from '../sync/working';
import { Loading, Trouble } from './PageState';

/** What a stage shows while its formula is fetched, or when it cannot be. */
export function FormulaPending({ error, retry, what }: { error: unknown; retry: () => void; what: string }) {
  if (!error) return <Loading what={what} />;
  return (
    <Trouble error={error} retry={retry}>
      <Link to="/" className="inline-flex items-center font-semibold text-leaf underline">
        {partsWords.backToTheShelf}
      </Link>
    </Trouble>
  );
}

/** A stage that needs the formula and its jars: what it shows once both are there. */
export function WithJars({
  what,
  children,
}: {
  what: string;
  children: (working: WorkingFormula, jars: readonly Jar[]) => ReactNode;
}) {
  const id = useParams().id as FormulaId;
  const { working, error, retry } = useWorking(id);
  const { jars, error: jarsError, retry: retryJars } = useJars(id);
  if (working && jars) return children(working, jars);
  return (
    <FormulaPending
      error={error ?? jarsError}
      what={what}
      retry={() => {
        retry();
        retryJars();
      }}
    />
  );
}

/** A piece of label tape with the formula's name, what stands beside it, and its stages. */
export function NameTape({ name, detail, children }: { name: string; detail: string; children?: ReactNode }) {
  return (
    <>
      <h1 className="tape font-name -rotate-[0.6deg] px-4 py-1.5 text-xl font-bold [overflow-wrap:anywhere]">
        {name} <span className="font-sans text-sm font-semibold">{detail}</span>
      </h1>
      {children}
    </>
  );
}
