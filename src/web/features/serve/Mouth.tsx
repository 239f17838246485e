import { useNavigate } from 'react-router';
import { DISH_MEASURES, dishReasons, windowsForDish, type DishAtTime, type DishMeasure } from '#core/dish';
import type { Style } from '#core/palate';
import { DISH_MEASURE_WORDS, sayDishReason } from '#words/dish';
import { formatPercent } from '#words/numbers';
import { serveWords } from '#words/screens/serve';
import { useKitchen } from '../../data/kitchen';
import { sayError } from '../../data/kitchenApi';
import { useStyles } from '../../data/styles';
import { useAppDispatch } from '../../sync/store';
import { useSaveShared } from '../../sync/useSaveShared';
import { formulaEdited, type WorkingFormula } from '../../sync/working';
import { Alert } from '../../ui/Alert';
import { Button } from '../../ui/Button';
import type { Bowl } from './useBowl';

interface MouthProps {
  readonly bowl: Bowl;
  readonly at: DishAtTime;
  readonly minutes: number;
  readonly style: Style | null;
  readonly working: WorkingFormula;
}

const WINDOW_OF = { salt: 'salt', acid: 'acid', sweet: 'sweet', fat: 'fat' } as const;

/** What arrives: the dressing alone and with this dish, on one track each, and what to do about it. */
export function Mouth({ bowl, at, minutes, style: aimed, working }: MouthProps) {
  const styles = useStyles();
  const { things, dressing } = bowl;
  if (!dressing) return null;
  // What arrives is held against the style itself, not against the one that was moved for this dish.
  const style = (aimed && styles.find(({ id }) => idFor(bowl.kept.id, id) === aimed.id)) ?? aimed;
  const reasons = dishReasons(things, dressing, minutes, at);
  return (
    <section
      aria-labelledby="in-the-mouth"
      className="card grid grid-cols-[minmax(0,1fr)] gap-2 p-4"
      data-testid="mouth"
    >
      <h2 id="in-the-mouth" className="font-name text-lg font-bold">
        {serveWords.inTheMouth}
      </h2>
      {reasons.length === 0 ? (
        <p>{serveWords.asFromTheSpoon}</p>
      ) : (
        <ul className="grid gap-1" data-testid="dish-reasons">
          {reasons.map((reason, i) => (
            <li key={i} className={i === 0 ? 'text-lg font-semibold' : ''}>
              {sayDishReason(reason, (index) => things[index]!.ingredient.name)}
            </li>
          ))}
        </ul>
      )}
      <ul className="grid gap-1 border-t border-rule pt-2">
        {DISH_MEASURES.map((measure) => (
          <TwoMarks
            key={measure}
            measure={measure}
            alone={dressing.holds[measure]}
            withDish={at.asDressing[measure]}
            window={style?.windows[WINDOW_OF[measure]] ?? null}
          />
        ))}
      </ul>
      <p className="text-sm text-quiet">{serveWords.whatTheMarksAre}</p>
      {style && <Aim bowl={bowl} at={at} style={style} working={working} />}
    </section>
  );
}

function TwoMarks({
  measure,
  alone,
  withDish,
  window,
}: {
  measure: DishMeasure;
  alone: number;
  withDish: number;
  window: { readonly low: number; readonly high: number } | null;
}) {
  const { settings } = useKitchen();
  const end = Math.max(alone, withDish, window?.high ?? 0, 1e-6) * 1.15;
  const place = (value: number): string => `${Math.min(100, (value / end) * 100)}%`;
  const said = (value: number): string => formatPercent(value, settings, value < 0.1 ? 1 : 0);
  return (
    <li
      className="grid grid-cols-[6rem_minmax(0,1fr)_9rem] items-center gap-3"
      data-testid={`mouth-${measure}`}
    >
      <span className="font-semibold first-letter:uppercase">{DISH_MEASURE_WORDS[measure]}</span>
      <span aria-hidden className="relative h-5 rounded bg-rule">
        {window && (
          <span
            className="absolute inset-y-0 rounded bg-mint"
            style={{ left: place(window.low), width: `calc(${place(window.high)} - ${place(window.low)})` }}
          />
        )}
        <span
          className="absolute top-1/2 size-3.5 -translate-x-1/2 -translate-y-1/2 rounded-full border-2 border-ink bg-card"
          style={{ left: place(alone) }}
        />
        <span
          className="absolute top-1/2 size-3.5 -translate-x-1/2 -translate-y-1/2 rounded-full bg-leaf"
          style={{ left: place(withDish) }}
        />
      </span>
      <span className="text-right text-sm whitespace-nowrap">
        {serveWords.fromTo(said(alone), said(withDish))}
      </span>
    </li>
  );
}

const idFor = (dishId: string, styleId: string): string =>
  `for-${dishId.slice(0, 20)}--${styleId.slice(0, 36)}`;

/** A style of the kitchen's own for this dish, chosen for the formula; Compose undoes it. */
function Aim({
  bowl,
  at,
  style,
  working,
}: Omit<MouthProps, 'minutes' | 'style'> & { readonly style: Style }) {
  const { kept, dressing } = bowl;
  const styles = useStyles();
  const dispatch = useAppDispatch();
  const navigate = useNavigate();
  const [save, saving] = useSaveShared('style');
  const id = idFor(kept.id, style.id);
  const before = styles.find((one) => one.id === id);
  const aim = async (): Promise<void> => {
    if (!dressing) return;
    const next: Style = {
      id,
      name: serveWords.styleForDish(style.name, kept.name).slice(0, 120),
      says: serveWords.styleForDishSays(kept.name).slice(0, 300),
      windows: windowsForDish(style.windows, dressing, at, bowl.lesson.saltTimes),
    };
    await save(
      id,
      before ? { id, name: before.name, says: before.says, windows: before.setWindows } : null,
      next,
    );
    dispatch(formulaEdited(working.id, { ...working.formula, styleId: id }));
    void navigate(`/formulas/${working.id}/compose`);
  };
  return (
    <div className="flex flex-wrap items-center gap-3 border-t border-rule pt-3">
      <Button
        kind="main"
        className="min-h-11"
        disabled={saving.isLoading}
        onClick={() => {
          aim().catch(() => undefined);
        }}
      >
        {serveWords.aimAtTheDish}
      </Button>
      <span className="min-w-0 flex-1 basis-48 text-sm text-quiet">{serveWords.aimWhat}</span>
      {saving.error !== undefined && <Alert>{serveWords.notAimed(sayError(saving.error))}</Alert>}
    </div>
  );
}
