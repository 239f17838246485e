import { useMemo } from 'react';
import { judgePortions, type JudgedPortion } from '#core/reckoning';
import { sayCaution, sayKeeping, sayPh } from '#core/safety';
import { measuredPh } from '#core/trial';
import type { Jar } from '../store/jars';

/** Cautions of this very jar. A pH measured since the last addition informs them; a simulated one never does. */
export function JarCautions({ jar, portions }: { jar: Jar; portions: readonly JudgedPortion[] }) {
  const judgement = useMemo(() => {
    const measured = measuredPh(jar.events);
    return judgePortions(portions, 0, measured.status === 'counts' ? measured.value : null);
  }, [jar.events, portions]);
  const measured = measuredPh(jar.events).status === 'counts';
  if (portions.length === 0) return null;
  const graver = judgement.cautions.filter(({ weight }) => weight !== 'note');
  return (
    <section aria-label="Cautions for this jar" className="card p-4">
      <h2 className="font-name mb-1 font-bold">Cautions for this jar</h2>
      <ul className="grid gap-1 border-l-4 border-l-acid pl-2 text-sm">
        {graver.map((caution) => {
          const { what, why } = sayCaution(caution);
          return (
            <li key={caution.code}>
              <strong>{what}</strong> {why}
            </li>
          );
        })}
        <li>{sayKeeping(judgement.keeping)}</li>
        <li>
          {sayPh(judgement.ph)} {measured && '(as measured, ± 0.1)'}
        </li>
      </ul>
      <p className="mt-2 text-sm text-quiet">
        Estimates, never a certificate: your local code and a licensed professional decide.
      </p>
    </section>
  );
}
