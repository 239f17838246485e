import type { ReactNode } from 'react';
import { Link } from 'react-router';
import { Loading, Trouble } from './PageState';

/** What a stage shows while its formula is fetched, or when it cannot be. */
export function FormulaPending({ error, retry, what }: { error: unknown; retry: () => void; what: string }) {
  if (!error) return <Loading what={what} />;
  return (
    <Trouble error={error} retry={retry}>
      <Link to="/" className="inline-flex items-center font-semibold text-bottle underline">
        Back to the shelf
      </Link>
    </Trouble>
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
