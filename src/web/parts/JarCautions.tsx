import type { FormulaId } from '#core/formula';
import type { JudgedPortion } from '#core/reckoning';
import { sayPh } from '#words/acidity';
import { allergenNames } from '#words/safety';
import { measuredPh } from '#core/trial';
import { partsWords } from '#words/screens/parts';
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
    <section aria-label={partsWords.cautionsForThisJar} className="card p-4">
      <h2 className="font-name mb-1 font-bold">{partsWords.cautionsForThisJar}</h2>
      <div className="grid gap-1 border-l-4 border-l-acid pl-2 text-sm">
        <CautionLines of={judgement} />
        <p>{partsWords.allergensPart(allergens.join(', ') || partsWords.noneListedIsKnown)}</p>
        <p>
          {sayPh(judgement.ph)} {measured && partsWords.asMeasured01}
        </p>
      </div>
      <p className="mt-2 text-sm text-quiet">{partsWords.estimatesNeverACertificateYour}</p>
    </section>
  );
}
