import { TOOL_WORDS } from '#words/hold';
import { useMemo, useState } from 'react';
import {
  byGain,
  candidateChanges,
  makingTips,
  oilState,
  solidFraction,
  usualSeconds,
  withChange,
  type Change,
  type Hold,
} from '#core/emulsion';
import { LIMIT_WORDS, OIL_STATE_WORDS, sayDuration, sayMixed } from '#words/hold';
import { TOOLS, type AdditionId, type Formula, type ReadingContext, type Tool } from '#core/formula';
import type { Ingredient, IngredientId } from '#core/ingredient';
import type { Judgement, Reckoning } from '#core/reckoning';
import type { Vessel } from '#core/vessel';
import { inSentence } from '#words/numbers';
import { takeDoses } from '#kitchen/edits';
import { composeHoldWords } from '#words/screens/composeHold';
import { newId } from '../../sync/device';
import { holdAskedOf, mixedWith } from '#kitchen/holds';
import { handMeasure, type Kitchen } from '#kitchen/reading';
import type { LearntReading } from '../../data/learnt';
import { typedNumber } from '../../form/typed';
import { Button } from '../../ui/Button';
import { Choice } from '../../ui/Choice';
import { Field } from '../../ui/Field';
import { Dialog } from '../../ui/Dialog';
import { useHolds } from '../../workers/useHolds';
import { ThicknessSpoon } from '../../parts/drawing/ThicknessSpoon';
import { HoldTools } from './HoldTools';
import { RescueSection } from '../../parts/RescueSection';
import { sayTip } from '#words/tips';

interface HoldPanelProps {
  readonly formula: Formula;
  readonly reckoning: Reckoning;
  readonly judgement: Judgement;
  readonly vessel: Vessel;
  readonly context: ReadingContext;
  readonly kitchen: Kitchen;
  readonly temperatureC: number;
  /** As this kitchen's own looks moved it. */
  readonly learnt: LearntReading;
  readonly onEdit: (next: Formula) => void;
  readonly onTemperature: (temperatureC: number) => void;
  readonly onClose: () => void;
}

const HELPERS = ['mustard_dijon', 'garlic', 'xanthan', 'egg_yolk_past'];
const SHOWN_CHANGES = 3;
const NIGHT_S = 12 * 3600;

/** What limits the hold, what would lengthen it (each run through the model), tools side by side, how to make it, how to save it. */
export function HoldPanel(props: HoldPanelProps) {
  const {
    formula,
    reckoning,
    judgement,
    vessel,
    context,
    kitchen,
    temperatureC,
    learnt,
    onEdit,
    onTemperature,
    onClose,
  } = props;
  const mixed = mixedWith(formula, vessel);
  const [secondsText, setSecondsText] = useState(String(mixed.seconds));
  const request = useMemo(
    () => holdAskedOf(judgement, reckoning, vessel, mixedWith(formula, vessel), temperatureC),
    [judgement, reckoning, vessel, formula, temperatureC],
  );
  const helpers = useMemo((): ReadonlyMap<IngredientId, Ingredient> => {
    const own = judgement.portions
      .map(({ ingredient }) => ingredient)
      .filter(({ category }) => category === 'emulsifier');
    const plain = HELPERS.flatMap((id) => kitchen.catalogue.get(id as IngredientId) ?? []);
    return new Map([...own, ...plain].map((ingredient) => [ingredient.id, ingredient]));
  }, [judgement.portions, kitchen.catalogue]);
  const [hold = null] = useHolds(useMemo(() => [request], [request]));
  const changes = useMemo(
    () => (request && hold ? candidateChanges(request, hold, helpers) : []),
    [request, hold, helpers],
  );
  const tried = useHolds(
    useMemo(
      () => (request ? changes.map((change) => withChange(request, change, helpers)) : []),
      [request, changes, helpers],
    ),
  );
  const { value: seconds, fits: secondsFit } = typedNumber(secondsText, { from: 1, to: 3600 });
  // One step of undo for a whole number, not one a digit.
  const takeSeconds = (): void => {
    if (seconds !== null && seconds !== mixed.seconds) onEdit({ ...formula, mixSeconds: seconds });
  };
  const apply = (change: Change): void => {
    if (change.kind === 'tool') onEdit({ ...formula, tool: change.tool, mixSeconds: null });
    else if (change.kind === 'mix-longer') onEdit({ ...formula, mixSeconds: change.seconds });
    else if (change.kind === 'colder') onTemperature(change.temperatureC);
    else {
      const ingredient = helpers.get(change.ingredientId);
      if (!ingredient) return;
      const dose = { mayAdd: { ingredient, form: '', stockG: null }, massG: change.massG };
      onEdit(
        takeDoses(formula, reckoning.additions, [dose], { context, newId: () => newId() as AdditionId }),
      );
    }
  };
  return (
    <Dialog title={composeHoldWords.howToMakeItHold} open onClose={onClose} wide>
      <div className="mb-3 flex flex-wrap items-start gap-4">
        <div className="grid gap-1 font-semibold">
          {composeHoldWords.mixedWith}
          <Choice
            label={composeHoldWords.mixedWith}
            value={mixed.tool}
            options={TOOLS.map((tool) => ({ value: tool, label: TOOL_WORDS[tool] }))}
            onChange={(tool) => {
              setSecondsText(String(usualSeconds(tool)));
              onEdit({ ...formula, tool, mixSeconds: null });
            }}
            className="min-w-40 font-normal"
          />
        </div>
        <Field
          label={composeHoldWords.forSeconds}
          className="w-32"
          inputMode="decimal"
          value={secondsText}
          onText={setSecondsText}
          onBlur={takeSeconds}
          onKeyDown={({ key }) => {
            if (key === 'Enter') takeSeconds();
          }}
          problem={secondsFit ? null : composeHoldWords.n1To3600Seconds}
        />
        <div className="min-w-60 flex-1" data-testid="hold-now">
          <div className="flex items-start gap-3">
            {hold && !hold.state.split && <ThicknessSpoon thickness={hold.state.thickness.class} size={52} />}
            <p className="font-semibold">{sayNow(learnt.hold)}</p>
          </div>
          {learnt.why && (
            <p className="text-sm" data-testid="learnt">
              {composeHoldWords.whyLookAtThemOr(learnt.why)}
            </p>
          )}
          {hold && (
            <p className="text-sm">
              {LIMIT_WORDS[hold.limitedBy]} {sayCold(hold)}
            </p>
          )}
        </div>
      </div>
      {request && hold && (
        <>
          <h3 className="font-name font-bold">{composeHoldWords.whatWouldLengthenIt}</h3>
          <Changes
            changes={changes}
            tried={tried}
            now={hold}
            helpers={helpers}
            allergens={new Set(judgement.allergens.eu14.map(({ allergen }) => allergen))}
            settings={kitchen.settings}
            onApply={apply}
          />
          <HoldTools
            request={request}
            chosen={mixed.tool}
            onTool={(tool) => {
              apply({ kind: 'tool', tool, seconds: usualSeconds(tool) });
            }}
          />
        </>
      )}
      <Making {...props} hold={hold} tool={mixed.tool} seconds={mixed.seconds} />
      {request && hold && (
        <RescueSection
          request={request}
          state={hold.state}
          portions={judgement.portions}
          kitchen={kitchen}
          volumeMl={reckoning.totals.mixedVolumeMl}
        />
      )}
    </Dialog>
  );
}

const sayNow = (hold: Hold | null): string => (hold ? sayMixed(hold) : composeHoldWords.theJarIsEmpty);

function sayCold({ state }: Hold): string {
  const solid = solidFraction(state.phases.oils, 4, NIGHT_S);
  return state.phases.oils.length > 0
    ? composeHoldWords.itsOilOilstate(OIL_STATE_WORDS[oilState(solid)])
    : '';
}

function Changes({
  changes,
  tried,
  now,
  helpers,
  allergens,
  settings,
  onApply,
}: {
  changes: readonly Change[];
  tried: readonly (Hold | null)[];
  now: Hold;
  helpers: ReadonlyMap<IngredientId, Ingredient>;
  /** In it already. */
  allergens: ReadonlySet<string>;
  settings: Kitchen['settings'];
  onApply: (change: Change) => void;
}) {
  const newAllergens = (change: Change): readonly string[] =>
    change.kind === 'add'
      ? (helpers.get(change.ingredientId)?.allergensEu14 ?? []).filter((allergen) => !allergens.has(allergen))
      : [];
  const results = changes
    .flatMap((change, i) => {
      const then = tried[i];
      if (!then || now.medianS === null) return [];
      const gain = then.medianS === null ? Infinity : then.medianS / now.medianS;
      return gain >= 1.25 ? [{ change, hold: then, gain }] : [];
    })
    .sort(byGain)
    .slice(0, SHOWN_CHANGES);
  const say = (change: Change): string => {
    switch (change.kind) {
      case 'tool':
        return `${TOOL_WORDS[change.tool]}, ${change.seconds} s`;
      case 'mix-longer':
        return composeHoldWords.mixForSecondsS(change.seconds);
      case 'colder':
        return composeHoldWords.keepItAtTemperaturecC(change.temperatureC);
      case 'add': {
        const ingredient = helpers.get(change.ingredientId)!;
        return composeHoldWords.addFreshamounttextName(
          handMeasure(change.massG, ingredient, settings.spoons, settings),
          inSentence(ingredient.name),
        );
      }
    }
  };
  return (
    <>
      <ol className="mt-1 mb-2 grid gap-1" data-testid="hold-changes">
        {results.map(({ change, hold }) => (
          <li
            key={JSON.stringify(change)}
            className="flex flex-wrap items-center gap-3 border-b border-rule py-1"
          >
            <span className="min-w-48 flex-1">
              <span className="block font-semibold">{say(change)}</span>
              {newAllergens(change).length > 0 && (
                <span className="block text-sm font-semibold text-acid-ink">
                  {composeHoldWords.newAllergenNewallergens(newAllergens(change).join(', '))}
                </span>
              )}
            </span>
            <span>
              {hold.medianS === null
                ? composeHoldWords.beyond14Days
                : composeHoldWords.aboutMedians(sayDuration(hold.medianS))}
            </span>
            <Button
              onClick={() => {
                onApply(change);
              }}
            >
              {composeHoldWords.doIt}
            </Button>
          </li>
        ))}
      </ol>
      {results.length === 0 && (
        <p className="mb-2 text-sm text-quiet">
          {now.medianS === null
            ? composeHoldWords.itNeedsNothing
            : composeHoldWords.nothingTriedHereLengthensIt}
        </p>
      )}
    </>
  );
}

function Making({
  judgement,
  vessel,
  reckoning,
  hold,
  tool,
  seconds,
}: HoldPanelProps & { hold: Hold | null; tool: Tool; seconds: number }) {
  const tips = makingTips(
    judgement.portions.map(({ ingredient, form, massG }) => ({ ingredient, form, massG: massG.nominal })),
    hold?.state ?? null,
    {
      tool,
      seconds,
      volumeMl: reckoning.totals.mixedVolumeMl,
      brimfulMl: vessel.brimfulVolumeMl,
      closes: vessel.closes,
    },
  );
  if (tips.length === 0) return null;
  return (
    <>
      <h3 className="font-name mt-3 font-bold">{composeHoldWords.howToMakeIt}</h3>
      <ol className="mb-3 list-decimal pl-5 text-sm" data-testid="making">
        {tips.map((tip) => (
          <li key={tip.code} className="py-0.5">
            {sayTip(tip)}
          </li>
        ))}
      </ol>
    </>
  );
}
