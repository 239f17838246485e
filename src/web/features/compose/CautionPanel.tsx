import { sayCaution, sayKeeping, sayPh, type AllergenEntry, type CautionWeight } from '#core/safety';
import type { Judgement } from '#core/reckoning';
import { Panel } from '../../ui/Panel';
import { shortName } from '../../palateWords';

const WEIGHTS: readonly { weight: CautionWeight; title: string }[] = [
  { weight: 'grave', title: 'Someone may come to harm' },
  { weight: 'care', title: 'Whenever this is made' },
  { weight: 'note', title: 'Good to know' },
];

/** Every caution with its reason and source, the allergens with who brings them, keeping and pH. */
export function CautionPanel({ judgement, onClose }: { judgement: Judgement; onClose: () => void }) {
  const { cautions, allergens, keeping, ph } = judgement;
  return (
    <Panel title="Cautions and allergens" open onClose={onClose}>
      <p>{sayKeeping(keeping)}</p>
      <p className="mt-1">{sayPh(ph)} Room temperature is never offered.</p>
      {WEIGHTS.map(({ weight, title }) => {
        const list = cautions.filter((caution) => caution.weight === weight);
        if (list.length === 0) return null;
        return (
          <section key={weight}>
            <h3 className="font-name mt-4 mb-1 font-bold">{title}</h3>
            <ul className="grid gap-2">
              {list.map((caution) => {
                const { what, why } = sayCaution(caution);
                return (
                  <li key={caution.code} data-testid={`caution-${caution.code}`}>
                    <p className="font-semibold">{what}</p>
                    <p>{why}</p>
                    <p className="text-sm text-quiet">{caution.source}</p>
                  </li>
                );
              })}
            </ul>
          </section>
        );
      })}
      <h3 className="font-name mt-4 mb-1 font-bold">Allergens</h3>
      <dl className="grid grid-cols-[8rem_1fr] gap-x-3 gap-y-1" data-testid="allergens">
        <dt className="text-quiet">EU, of 14</dt>
        <dd>{sayAllergens(allergens.eu14)}</dd>
        <dt className="text-quiet">US, of 9</dt>
        <dd>{sayAllergens(allergens.us9)}</dd>
        <dt className="text-quiet">May be in it</dt>
        <dd>{sayAllergens(allergens.mayBeIn)}</dd>
      </dl>
      <p className="mt-2 text-sm text-quiet">
        From table values of typical products: read the label of what is really used. Traces are not known
        here.
      </p>
    </Panel>
  );
}

function sayAllergens(entries: readonly AllergenEntry[]): string {
  if (entries.length === 0) return 'none known';
  return entries
    .map(({ allergen, from }) => `${allergen} (${from.map(({ name }) => shortName(name)).join(', ')})`)
    .join('; ');
}
