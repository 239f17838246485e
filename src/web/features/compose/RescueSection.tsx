import { useState } from 'react';
import {
  rescue,
  THICKNESS_CLASSES,
  THICKNESS_WORDS,
  TROUBLE_WORDS,
  TROUBLES,
  type Hold,
  type HoldRequest,
  type ThicknessClass,
  type Trouble,
} from '#core/emulsion';
import type { Formula, ReadingContext, Tool } from '#core/formula';
import type { Ingredient, IngredientId } from '#core/ingredient';
import type { Judgement } from '#core/reckoning';
import { inSentence } from '../../format';
import { freshAmountText } from '../../store/balanceEdits';
import type { Kitchen } from '../../store/kitchen';
import { Choice } from '../../ui/Choice';
import { sayStep } from './sayTips';

interface RescueSectionProps {
  readonly request: HoldRequest;
  readonly hold: Hold;
  readonly tool: Tool;
  readonly judgement: Judgement;
  readonly kitchen: Kitchen;
  readonly formula: Formula;
  readonly context: ReadingContext;
  readonly volumeMl: number;
}

const ROOM_C = 21;

/** What to do when it has gone wrong, with the quantities of this batch. */
export function RescueSection({
  request,
  hold,
  tool,
  judgement,
  kitchen,
  formula,
  context,
  volumeMl,
}: RescueSectionProps) {
  const [trouble, setTrouble] = useState<Trouble | null>(hold.state.split ? 'split' : null);
  const [wanted, setWanted] = useState<ThicknessClass>('pours-like-cream');
  const own = judgement.portions.map(({ ingredient }) => ingredient);
  const water = kitchen.catalogue.get('water' as IngredientId);
  const acids = own.filter(({ isAcidLiquid }) => isAcidLiquid);
  const thinners: readonly Ingredient[] = [...new Set([...acids, ...(water ? [water] : [])])];
  const found = trouble
    ? rescue(trouble, {
        amounts: request.amounts,
        state: hold.state,
        tool,
        temperatureC: request.temperatureC,
        roomC: ROOM_C,
        volumeMl,
        ingredients: own,
        thinners,
        wanted,
      })
    : [];
  const ingredientOf = (id: IngredientId): Ingredient | undefined => kitchen.catalogue.get(id);
  const nameOf = (id: IngredientId): string => inSentence(ingredientOf(id)?.name ?? id);
  return (
    <section aria-label="Save it">
      <h3 className="font-name mb-1 font-bold">When it has gone wrong</h3>
      <Choice
        label="What went wrong"
        value={trouble ?? 'none'}
        options={[
          { value: 'none', label: 'Choose what went wrong' },
          ...TROUBLES.map((value) => ({ value, label: TROUBLE_WORDS[value] })),
        ]}
        onChange={(value) => {
          setTrouble(value === 'none' ? null : (value as Trouble));
        }}
        className="min-w-56"
      />
      {(trouble === 'too-thick' || trouble === 'too-thin') && (
        <span className="ml-2 inline-flex items-center gap-2">
          until it
          <Choice
            label="Wanted thickness"
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
            <li key={index} className="border-l-4 border-l-bottle pl-3 text-sm">
              <ol className="list-decimal pl-4">
                {way.steps.map((step) => (
                  <li key={step.code} className="py-0.5">
                    {sayStep(step, nameOf, (massG, id) => {
                      const ingredient = ingredientOf(id);
                      return ingredient
                        ? freshAmountText(massG, ingredient, formula, context)
                        : `${massG.toFixed(0)} g`;
                    })}
                  </li>
                ))}
              </ol>
              {brought && (
                <p className="font-semibold text-acid-ink">
                  Brings {nameOf(brought.id)}, which is not in it now
                  {brought.allergensEu14.length > 0 && `: allergen ${brought.allergensEu14.join(', ')}`}. Look
                  at the cautions again.
                </p>
              )}
            </li>
          );
        })}
      </ol>
      {trouble && found.length === 0 && (
        <p className="mt-1 text-sm text-quiet">Nothing to do: it is not so.</p>
      )}
    </section>
  );
}
