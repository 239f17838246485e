import { useSaveShared } from '../../sync/useSaveShared';
import { FIGURE_WORDS, sayCompared, saySpread, TAG_WORDS } from '#words/tags';
import { useState } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import type { OwnIngredient } from '#contract';
import {
  COMPONENTS,
  FIGURES,
  ownIngredientFromRow,
  provenanceOf,
  REFERENCE_CATALOGUE,
  spreadOfFigure,
  type Ingredient,
  type IngredientId,
} from '#core/ingredient';
import { notesOf } from '#core/ingredient/notes';
import { structureOf } from '#core/emulsion';
import { pantryWords } from '#words/screens/pantry';
import { Alert } from '../../ui/Alert';
import { sayError } from '../../data/kitchenApi';
import { formatNumber, formatPercent } from '#words/numbers';
import { newId } from '../../sync/device';
import { entryOf, type Kitchen } from '#kitchen/reading';
import { useKitchen, useOwnIngredients, usePantry } from '../../data/kitchen';
import { Button } from '../../ui/Button';
import { Loading } from '../../parts/PageState';
import { EntryForm } from './EntryForm';
import { ThicknessCard } from './ThicknessCard';
import { LabelForm } from './LabelForm';
import { copiedRow, RowForm } from './RowForm';
import { CATEGORY_WORDS, COMPONENT_WORDS, FAMILY_WORDS, HAZARD_WORDS } from './words';

const NEW = 'new';

export function IngredientPage() {
  const id = useParams().id as IngredientId;
  const kitchen = useKitchen();
  const own = useOwnIngredients();
  const pantry = usePantry();
  if (id === (NEW as IngredientId)) return <LabelForm kitchen={kitchen} />;
  if (!own || !pantry) return <Loading what={pantryWords.theIngredient} />;
  const ingredient = kitchen.catalogue.get(id);
  if (!ingredient) {
    return (
      <div className="mx-auto max-w-xl p-10">
        <h1 className="font-name mb-2 text-2xl font-bold">{pantryWords.thisIngredientIsNotIn}</h1>
        <Link to="/pantry" className="font-semibold text-leaf underline">
          {pantryWords.backToThePantry}
        </Link>
      </div>
    );
  }
  const ownRow = own.find((row) => row.id === id);
  return <IngredientView key={id} ingredient={ingredient} ownRow={ownRow} kitchen={kitchen} />;
}

function IngredientView({
  ingredient,
  ownRow,
  kitchen,
}: {
  ingredient: Ingredient;
  ownRow: OwnIngredient | undefined;
  kitchen: Kitchen;
}) {
  const { settings } = kitchen;
  const [editing, setEditing] = useState(false);
  const [save, saving] = useSaveShared('ingredient');
  const navigate = useNavigate();
  const entry = entryOf(kitchen.pantry, ingredient.id);
  const table = ownRow
    ? ownIngredientFromRow(ownRow)
    : (REFERENCE_CATALOGUE.get(ingredient.id) ?? ingredient);
  const copy = (): void => {
    const row = copiedRow(ingredient, `own_${newId()}`);
    save(row.id, null, row).then(
      () => navigate(`/pantry/${row.id}`),
      () => undefined,
    );
  };
  return (
    <div className="pt-1">
      <Link to="/pantry" className="text-sm font-semibold text-leaf underline">
        {pantryWords.pantry}
      </Link>
      <div className="mb-3 flex flex-wrap items-center gap-x-4 gap-y-2">
        <h1 className="font-name text-2xl font-bold [overflow-wrap:anywhere]">{ingredient.name}</h1>
        <span className="text-quiet">{CATEGORY_WORDS[ingredient.category]}</span>
        <span className="ml-auto flex gap-2">
          {ownRow && !editing && (
            <Button
              onClick={() => {
                setEditing(true);
              }}
            >
              {pantryWords.changeItsValues}
            </Button>
          )}
          <Button onClick={copy} disabled={saving.isLoading}>
            {pantryWords.copyAsOurOwn}
          </Button>
        </span>
      </div>
      {saving.error !== undefined && (
        <Alert className="mb-2">{pantryWords.notCopiedError(sayError(saving.error))}</Alert>
      )}
      <div className="grid items-start gap-3.5 lg:grid-cols-2">
        <div className="grid gap-3.5">
          <EntryForm ingredient={ingredient} entry={entry} kitchen={kitchen} />
          <ThicknessCard ingredient={ingredient} table={table} entry={entry} />
        </div>
        {editing && ownRow ? (
          <RowForm
            row={ownRow}
            onDone={() => {
              setEditing(false);
            }}
          />
        ) : (
          <Facts ingredient={ingredient} settings={settings} />
        )}
      </div>
    </div>
  );
}

function Facts({ ingredient, settings }: { ingredient: Ingredient; settings: Kitchen['settings'] }) {
  const notes = notesOf(ingredient);
  const { composition, unitWeightsG, allergensEu14, allergensUs9, allergensMayBeIn, hazards } = ingredient;
  const body = structureOf(ingredient);
  const parts = COMPONENTS.filter((key) => composition[key] > 0);
  const list = (words: readonly string[]): string =>
    words.length ? words.join(', ') : pantryWords.noneKnown;
  return (
    <section aria-label={pantryWords.whatItIsMadeOf} className="card p-4">
      <h2 className="font-name mb-2 text-lg font-bold">{pantryWords.per100G}</h2>
      <table className="w-full">
        <tbody>
          {parts.map((key) => (
            <tr key={key} className="border-b border-rule">
              <th
                scope="row"
                className={`py-1 text-left font-normal ${key === 'fibre' || key === 'polyol' ? 'pl-5 text-quiet' : ''}`}
              >
                {COMPONENT_WORDS[key]}
              </th>
              <td className="w-1/3">
                <span className="block h-2.5 rounded bg-track" aria-hidden>
                  <span
                    className="block h-full rounded bg-bottle-soft"
                    style={{ width: `${Math.min(100, composition[key] * 100)}%` }}
                  />
                </span>
              </td>
              <td className="py-1 pl-3 text-right">
                {formatPercent(composition[key], settings, composition[key] < 0.01 ? 2 : 1)}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      <dl className="mt-4 grid grid-cols-[10rem_1fr] gap-x-3 gap-y-1.5">
        <dt className="text-quiet">{pantryWords.aSpoonHolds}</dt>
        <dd>
          {pantryWords.spoondensitygpermlGPerMl(formatNumber(ingredient.spoonDensityGPerMl, 2, settings))}
        </dd>
        <dt className="text-quiet">{pantryWords.ph}</dt>
        <dd>
          {ingredient.typicalPh === null
            ? pantryWords.tooDryToHaveOne
            : pantryWords.aboutTypicalphAcidsandph(
                formatNumber(ingredient.typicalPh, 1, settings),
                provenanceOf(ingredient).acidsAndPh ?? 'estimate',
              )}
        </dd>
        <dt className="text-quiet">{pantryWords.energy}</dt>
        <dd>{pantryWords.roundKcal(Math.round(ingredient.energyKcalPer100G))}</dd>
        {Object.keys(unitWeightsG).length > 0 && (
          <>
            <dt className="text-quiet">{pantryWords.oneWeighs}</dt>
            <dd>
              {Object.entries(unitWeightsG)
                .map(([unit, { nominal, low, high }]) =>
                  low === high
                    ? `${unit.replace('_', ' ')} ${nominal} g`
                    : pantryWords.unitNominalGLowTo(unit.replace('_', ' '), nominal, low, high),
                )
                .join(', ')}
            </dd>
          </>
        )}
        <dt className="text-quiet">{pantryWords.allergensEu}</dt>
        <dd>{list(allergensEu14)}</dd>
        <dt className="text-quiet">{pantryWords.allergensUs}</dt>
        <dd>{list(allergensUs9)}</dd>
        {allergensMayBeIn.length > 0 && (
          <>
            <dt className="text-quiet">{pantryWords.mayBeInIt}</dt>
            <dd>{pantryWords.allergensmaybeinReadTheLabel(allergensMayBeIn.join(', '))}</dd>
          </>
        )}
        <dt className="text-quiet">{pantryWords.care}</dt>
        <dd>
          {hazards.length
            ? hazards.map((hazard) => HAZARD_WORDS[hazard]).join(', ')
            : pantryWords.keepsInTheCupboard}
        </dd>
        {notes.shelfNote && (
          <>
            <dt className="text-quiet">{pantryWords.keeps}</dt>
            <dd>{notes.shelfNote}</dd>
          </>
        )}
        {body && (
          <>
            <dt className="text-quiet">{pantryWords.body}</dt>
            <dd>
              {pantryWords.bodyFamilyYieldViscosity(
                FAMILY_WORDS[body.family],
                body.yieldStressPa > 0
                  ? formatNumber(body.yieldStressPa, body.yieldStressPa < 10 ? 1 : 0, settings)
                  : null,
                formatNumber(body.viscosityPaS, body.viscosityPaS < 0.1 ? 3 : 1, settings),
                ingredient.structure === null,
              )}
            </dd>
          </>
        )}
        {notes.emulsifierNote && (
          <>
            <dt className="text-quiet">{pantryWords.binding}</dt>
            <dd>{notes.emulsifierNote}</dd>
          </>
        )}
        <dt className="text-quiet">{pantryWords.knownFrom}</dt>
        <dd>
          <ul className="text-sm" data-testid="provenance">
            {FIGURES.flatMap((figure) => {
              const tag = provenanceOf(ingredient)[figure];
              const spread = spreadOfFigure(ingredient, figure);
              return tag && spread
                ? [
                    <li key={figure}>
                      {FIGURE_WORDS[figure]}: <strong>{TAG_WORDS[tag]}</strong>
                      {`, ${saySpread(spread, (units) => formatNumber(units, 1, settings))}`}
                    </li>,
                  ]
                : [];
            })}
          </ul>
          <span className="block text-sm text-quiet">
            {notes.source}
            {ingredient.comparedWith !== null && `. ${sayCompared(ingredient.comparedWith)}`}
          </span>
        </dd>
      </dl>
    </section>
  );
}
