import type { SampleRef } from '#contract';
import { allergenGroup } from '#core/safety';
import { useSample } from './samples';

/** What every taster has to know before the first sip. Codes hide which is which, never what is in them. */
export function Warnings({ a, b }: { a: SampleRef; b: SampleRef }) {
  const both = [useSample(a), useSample(b)];
  const known = both.every(({ judgement }) => judgement !== null);
  const allergens = new Set(
    both.flatMap(
      ({ judgement }) => judgement?.allergens.eu14.map(({ allergen }) => allergenGroup(allergen)) ?? [],
    ),
  );
  const maybe = new Set(
    both.flatMap(
      ({ judgement }) => judgement?.allergens.mayBeIn.map(({ allergen }) => allergenGroup(allergen)) ?? [],
    ),
  );
  const codes = new Set(both.flatMap(({ judgement }) => judgement?.cautions.map(({ code }) => code) ?? []));
  return (
    <section
      aria-label="Before tasting"
      className="border-l-4 border-l-acid bg-card p-4"
      data-testid="warnings"
    >
      <h2 className="font-name font-bold">Before the first sip</h2>
      {known ? (
        <p>
          {allergens.size > 0
            ? `Among these samples: ${[...allergens].join(', ')}. Who may not eat one of them does not taste.`
            : 'No listed allergen is known in either.'}
          {maybe.size > 0 && ` May also hold: ${[...maybe].join(', ')}.`}
          {codes.has('raw_egg') && ' Raw egg: not for children, pregnant, old or ill tasters.'}
          {codes.has('infants_honey') && ' Honey: not for infants.'}
        </p>
      ) : (
        <p className="font-semibold">What is in them is not known here: do not serve them.</p>
      )}
    </section>
  );
}
