import { dressingFor, MOMENT_MINUTES, thinningOf, type DressedEntry } from '#core/service';
import { serveWords } from '#words/screens/serve';
import type { Dish } from './dish';
import { WATER_ADVICE, WATER_NAMES } from '#words/service';

/** What the water in the bowl does to it, and what to do about that. */
export function Thinned({ dish, own }: { dish: Dish; own: readonly DressedEntry[] }) {
  const { watery, massG, kind, dressed, moment } = dish;
  const parts = watery.flatMap((part) =>
    part.massG !== null && part.massG > 0 ? [{ source: part.source, massG: part.massG }] : [],
  );
  if (parts.length === 0 || massG === null) return null;
  const { ml } = dressingFor(kind, massG, dressed, own);
  const { waterMl, weaker, afterAdvice, advice } = thinningOf(parts, ml, MOMENT_MINUTES[moment]);
  const percent = (share: number): string => `${Math.round(share * 100)} %`;
  return (
    <section
      aria-label={serveWords.thinned}
      className="card grid grid-cols-[minmax(0,1fr)] content-start gap-1 p-4"
      data-testid="thinned"
    >
      <h2 className="font-name text-lg font-bold">
        {serveWords.thinnedByAboutRoundMl(Math.round(waterMl), percent(weaker))}
      </h2>
      {advice.length === 0 ? (
        <p>{serveWords.nobodyWillTasteIt}</p>
      ) : (
        <>
          <ul className="list-disc pl-5">
            {advice.map((source) => (
              <li key={source}>
                {WATER_NAMES[source]}: {WATER_ADVICE[source]}
              </li>
            ))}
          </ul>
          <p>{serveWords.thenItIsPercentWeaker(percent(afterAdvice))}</p>
        </>
      )}
      <p className="text-sm text-quiet">{serveWords.anEstimateVegetablesDiffer}</p>
    </section>
  );
}
