import type { Ingredient } from '#core/ingredient';
import type { CautionTier, ProbableAllergen } from '#core/safety';
import { sayPh } from '#words/acidity';
import { sayAllergens, sayCaution, sayKeeping } from '#words/safety';
import type { Judgement } from '#core/reckoning';
import { composeWords } from '#words/screens/compose';
import { Dialog } from '../../ui/Dialog';
import { shortName } from '#words/judgement';

const TIERS: readonly { tier: CautionTier; title: string }[] = [
  { tier: 1, title: composeWords.someoneMayComeToHarm },
  { tier: 2, title: composeWords.keepingItAndMakingIt },
  { tier: 3, title: composeWords.goodToKnow },
];

/** Every caution with its reason and source, the allergens with who brings them, keeping and pH. */
export function CautionPanel({ judgement, onClose }: { judgement: Judgement; onClose: () => void }) {
  const { cautions, allergens, keeping, ph } = judgement;
  return (
    <Dialog title={composeWords.cautionsAndAllergens2} open onClose={onClose}>
      <p>{sayKeeping(keeping)}</p>
      {TIERS.map(({ tier, title }) => {
        const list = cautions.filter((caution) => caution.tier === tier);
        if (list.length === 0) return null;
        const rows = (
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
        );
        return tier === 3 ? (
          <details key={tier} className="mt-4">
            <summary className="font-name min-h-8 cursor-pointer font-bold">{title}</summary>
            {rows}
            <p className="mt-2">{sayPh(ph)}</p>
            <p className="text-sm text-quiet">{sayBound(judgement)}</p>
          </details>
        ) : (
          <section key={tier}>
            <h3 className="font-name mt-4 mb-1 font-bold">{title}</h3>
            {rows}
          </section>
        );
      })}
      <h3 className="font-name mt-4 mb-1 font-bold">{composeWords.allergens}</h3>
      {allergens.missing.length > 0 && (
        <p className="font-semibold text-acid-ink">
          {composeWords.notCompleteMissing(allergens.missing.map((words) => `“${words}”`).join(', '))}
        </p>
      )}
      <dl className="grid grid-cols-[8rem_1fr] gap-x-3 gap-y-1" data-testid="allergens">
        <dt className="text-quiet">{composeWords.euOf14}</dt>
        <dd>{sayAllergens(allergens.eu14, nameOf) || noneOf(judgement)}</dd>
        <dt className="text-quiet">{composeWords.usOf9}</dt>
        <dd>{sayAllergens(allergens.us9, nameOf) || noneOf(judgement)}</dd>
        {allergens.probableEu14.length > 0 && (
          <>
            <dt className="text-quiet">{composeWords.probably}</dt>
            <dd>{allergens.probableEu14.map(sayProbable).join('; ')}</dd>
          </>
        )}
        <dt className="text-quiet">{composeWords.mayBeInIt}</dt>
        <dd>{sayAllergens(allergens.mayBeIn, nameOf) || noneOf(judgement)}</dd>
      </dl>
      <p className="mt-2 text-sm text-quiet">{composeWords.fromTableValuesOfTypical}</p>
    </Dialog>
  );
}

const nameOf = ({ name }: Ingredient): string => shortName(name);
const noneOf = ({ allergens }: Judgement): string =>
  allergens.missing.length > 0 ? composeWords.noneOfWhatCouldBe : composeWords.noneKnown;
const sayProbable = ({ allergen, from }: ProbableAllergen): string =>
  `${allergen} (${from.map((words) => `“${words}”`).join(', ')})`;

/** How the pH that keeping goes by was found. */
function sayBound({ phBound: { upper, boundBy } }: Judgement): string {
  if (upper === null) return composeWords.howAcidItIsIs;
  const how = boundBy === 'calculated' ? composeWords.theUpperEndOfWhat : composeWords.noMixtureIsLessAcid;
  return composeWords.keepingCountsItAsPh(upper.toFixed(1), how);
}
