import type { SampleRef } from '#contract';
import { allergenNames, sayCaution } from '#words/safety';
import { sideBySideWords } from '#words/screens/sideBySide';
import { useSample } from './samples';

/** What every taster has to know before the first sip. Codes hide which is which, never what is in them. */
export function Warnings({ a, b }: { a: SampleRef; b: SampleRef }) {
  const both = [useSample(a), useSample(b)];
  const known = both.every(({ judgement }) => judgement !== null);
  const allergens = new Set(
    both.flatMap(({ judgement }) => (judgement ? allergenNames(judgement.allergens) : [])),
  );
  // The lists above carry what is not complete; the rest of what may hurt is said in full.
  const grave = new Map(
    both.flatMap(({ judgement }) =>
      (judgement?.cautions ?? [])
        .filter(({ tier, code }) => tier === 1 && code !== 'allergen_unknown')
        .map((caution) => [caution.code, sayCaution(caution).what] as const),
    ),
  );
  return (
    <section
      aria-label={sideBySideWords.beforeTasting}
      className="border-l-4 border-l-acid bg-card p-4"
      data-testid="warnings"
    >
      <h2 className="font-name font-bold">{sideBySideWords.beforeTheFirstSip}</h2>
      {known ? (
        <p>
          {allergens.size > 0
            ? sideBySideWords.amongTheseSamplesJoinWho([...allergens].join(', '))
            : sideBySideWords.noListedAllergenIsKnown}
          {[...grave.values()].map((what) => ` ${what}`)}
        </p>
      ) : (
        <p className="font-semibold">{sideBySideWords.whatIsInThemIs}</p>
      )}
    </section>
  );
}
