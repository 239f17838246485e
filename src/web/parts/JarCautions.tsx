import type { FormulaId } from '#core/formula';
import type { JudgedPortion } from '#core/reckoning';
import { allergenNames, sayPh } from '#words/safety';
import { measuredPh } from '#core/trial';
import { frameWords } from '#words/screens/frame';
import { useJarJudged } from '../data/useJarJudged';
import type { Jar } from '../data/jars';
import type { Kitchen } from '#kitchen/reading';
import { CautionLines } from './CautionLines';

interface JarCautionsProps {
  readonly jar: Jar;
  readonly formulaId: FormulaId;
  readonly portions: readonly JudgedPortion[];
  readonly kitchen: Kitchen;
}

/** Cautions of this very jar. A pH measured since the last addition may add to them; a simulated one never counts. */
export function JarCautions({ jar, formulaId, portions, kitchen }: JarCautionsProps) {
  const judgement = useJarJudged(jar, formulaId, portions, kitchen);
  if (portions.length === 0 || !judgement) return null;
  const measured = measuredPh(jar.events).status === 'counts';
  const allergens = allergenNames(judgement.allergens);
  return (
    <section aria-label={frameWords.cautionsForThisJar} className="card p-4">
      <h2 className="font-name mb-1 font-bold">{frameWords.cautionsForThisJar}</h2>
      <div className="grid gap-1 border-l-4 border-l-acid pl-2 text-sm">
        <CautionLines of={judgement} />
        <p>{frameWords.allergensPart(allergens.join(', ') || frameWords.noneListedIsKnown)}</p>
        <p>
          {sayPh(judgement.ph)} {measured && frameWords.asMeasured01}
        </p>
      </div>
      <p className="mt-2 text-sm text-quiet">{frameWords.estimatesNeverACertificateYour}</p>
    </section>
  );
}
