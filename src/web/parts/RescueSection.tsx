import { useState } from 'react';
import {
  ROOM_C,
  rescue,
  THICKNESS_CLASSES,
  TROUBLES,
  type EmulsionState,
  type HoldRequest,
  type Rescue,
  type ThicknessClass,
  type Trouble,
} from '#core/emulsion';
import { THICKNESS_WORDS, TROUBLE_WORDS } from '#words/hold';
import type { Ingredient, IngredientId } from '#core/ingredient';
import type { JudgedPortion } from '#core/reckoning';
import { inSentence } from '#words/numbers';
import { handMeasure, type Kitchen } from '#kitchen/reading';
import { partsWords } from '#words/screens/parts';
import { Button } from '../ui/Button';
import { Choice } from '../ui/Choice';
import { sayStep } from '#words/tips';

interface RescueSectionProps {
  readonly request: HoldRequest;
  readonly state: EmulsionState;
  readonly portions: readonly JudgedPortion[];
  readonly kitchen: Kitchen;
  readonly volumeMl: number;
  /** What has happened already; without it the cook chooses. */
  readonly trouble?: Trouble;
  /** A way is taken; without it ways are only read. */
  readonly onTake?: (way: Rescue) => void;
}

/** What to do when it has gone wrong, with the quantities of this batch. */
export function RescueSection({
  request,
  state,
  portions,
  kitchen,
  volumeMl,
  trouble: happened,
  onTake,
}: RescueSectionProps) {
  const [trouble, setTrouble] = useState<Trouble | null>(happened ?? (state.split ? 'split' : null));
  const [wanted, setWanted] = useState<ThicknessClass>('pours-like-cream');
  const own = portions.map(({ ingredient }) => ingredient);
  const water = kitchen.catalogue.get('water' as IngredientId);
  const acids = own.filter(({ isAcidLiquid }) => isAcidLiquid);
  const thinners: readonly Ingredient[] = [...new Set([...acids, ...(water ? [water] : [])])];
  const found = trouble
    ? rescue(trouble, {
        request,
        state,
        roomC: ROOM_C,
        volumeMl,
        ingredients: own,
        thinners,
        wanted,
      })
    : [];
  const ingredientOf = (id: IngredientId): Ingredient | undefined => kitchen.catalogue.get(id);
  const nameOf = (id: IngredientId): string => inSentence(ingredientOf(id)?.name ?? id);
  const sayAll = (way: Rescue): readonly string[] =>
    way.steps.map((step) =>
      sayStep(step, nameOf, (massG, id) => {
        const ingredient = ingredientOf(id);
        return ingredient
          ? handMeasure(massG, ingredient, kitchen.settings.spoons, kitchen.settings)
          : `${massG.toFixed(0)} g`;
      }),
    );
  return (
    <section aria-label={partsWords.saveIt}>
      {happened === undefined && (
        <>
          <h3 className="font-name mb-1 font-bold">{partsWords.whenItHasGoneWrong}</h3>
          <Choice
            label={partsWords.whatWentWrong}
            value={trouble ?? 'none'}
            options={[
              { value: 'none', label: partsWords.chooseWhatWentWrong },
              ...TROUBLES.map((value) => ({ value, label: TROUBLE_WORDS[value] })),
            ]}
            onChange={(value) => {
              setTrouble(value === 'none' ? null : (value as Trouble));
            }}
            className="min-w-56"
          />
        </>
      )}
      {(trouble === 'too-thick' || trouble === 'too-thin') && (
        <span className="ml-2 inline-flex items-center gap-2">
          {partsWords.untilIt}
          <Choice
            label={partsWords.wantedThickness}
            value={wanted}
            options={THICKNESS_CLASSES.map((value) => ({ value, label: THICKNESS_WORDS[value] }))}
            onChange={setWanted}
          />
        </span>
      )}
      <ol className="mt-2 grid gap-2" data-testid="rescue">
        {found.map((way, index) => {
          const brought = way.brings ? ingredientOf(way.brings) : undefined;
          return (
            <li key={index} className={`border-l-4 border-l-leaf pl-3 ${onTake ? 'text-lg' : 'text-sm'}`}>
              <ol className="list-decimal pl-4">
                {sayAll(way).map((sentence) => (
                  <li key={sentence} className="py-0.5">
                    {sentence}
                  </li>
                ))}
              </ol>
              {brought && (
                <p className="font-semibold text-acid-ink">
                  {partsWords.bringsNameofWhichIsNot(nameOf(brought.id))}
                  {brought.allergensEu14.length > 0 &&
                    partsWords.allergenAllergenseu14(brought.allergensEu14.join(', '))}
                  {partsWords.lookAtTheCautionsAgain}
                </p>
              )}
              {onTake && (
                <Button
                  className="mt-2 min-h-16 px-5"
                  onClick={() => {
                    onTake(way);
                  }}
                >
                  {partsWords.doItThisWay}
                </Button>
              )}
            </li>
          );
        })}
      </ol>
      {trouble && found.length === 0 && (
        <p className="mt-1 text-sm text-quiet">{partsWords.nothingToDoItIs}</p>
      )}
    </section>
  );
}
