import { TAG_WORDS } from '#words/tags';
import { BOWL_WORDS, DRESSED_WORDS } from '#words/service';
import { useState } from 'react';
import { Link, useLocation } from 'react-router';
import type { VersionRecord } from '#contract';
import type { FormulaId } from '#core/formula';
import {
  BOWL_VERDICTS,
  DISHES,
  lastWords,
  mlPer100GOf,
  servingsFrom,
  type BowlVerdict,
  type DressedEntry,
  type DressingNeed,
} from '#core/service';
import { sayDishLesson } from '#words/dish';
import { passWords } from '#words/screens/pass';
import { serveWords } from '#words/screens/serve';
import { put } from '../../sync/outbox';
import { formatAmount, formatMass, formatNumber, formatVolume } from '#words/numbers';
import { typedNumber } from '../../form/typed';
import { newId } from '../../sync/device';
import type { Kitchen } from '#kitchen/reading';
import { Button } from '../../ui/Button';
import { Field } from '../../ui/Field';
import type { Dish } from './dish';
import type { Bowl } from './useBowl';

interface HowMuchProps {
  readonly dish: Dish;
  readonly own: readonly DressedEntry[];
  /** What it takes; null: what was typed says no dish. */
  readonly need: DressingNeed | null;
  /** Listed thing by thing; null: a kind of dish. */
  readonly bowl: Bowl | null;
  readonly kitchen: Kitchen;
  readonly version: VersionRecord | null;
  readonly formulaId: FormulaId;
  /** As composed. */
  readonly volumeMl: number;
  readonly massG: number;
}

/** ml and g for the bowl and the plate, what a jar dresses, what a batch has to be. */
export function HowMuch({
  dish,
  own,
  need,
  bowl,
  kitchen,
  version,
  formulaId,
  volumeMl,
  massG,
}: HowMuchProps) {
  const { settings } = kitchen;
  const { search } = useLocation();
  const { kind, dressed, massG: dishG, covers, servingG } = dish;
  if (need === null || dishG === null || covers === null || servingG === null)
    return (
      <section aria-label={serveWords.howMuch} className="card p-4">
        <p className="text-quiet">
          {bowl ? serveWords.sayWhatIsInTheBowl : serveWords.sayWhatOneServingWeighs}
        </p>
      </section>
    );
  const each = need.ml / covers;
  const density = volumeMl > 0 ? massG / volumeMl : 1;
  const mine = own.filter(
    (entry) => entry.kind === kind && entry.dressed === dressed && entry.dishId !== (bowl?.kept.id ?? ''),
  ).length;
  const lesson = bowl ? sayDishLesson(bowl.lesson) : '';
  // Up, so that nobody runs out.
  const batch = Math.ceil(need.highMl / 100) / 10;
  return (
    <section
      aria-label={serveWords.howMuch}
      className="card grid grid-cols-[minmax(0,1fr)] content-start gap-2 p-4"
    >
      <p className="font-name text-4xl font-bold" data-testid="need">
        {formatVolume(need.ml, settings)}
      </p>
      <p className="text-lg">
        {serveWords.lowmlToHighmlAbout(
          formatVolume(need.lowMl, settings),
          formatVolume(need.highMl, settings),
        )}{' '}
        {serveWords.formatmassForDishgDressedDressed(
          formatMass(need.ml * density, settings),
          formatMass(dishG, settings),
          DRESSED_WORDS[dressed],
        )}
      </p>
      <p>
        {serveWords.eachAServing(formatAmount(each, 'ml', settings))}
        {volumeMl > 0 && (
          <>
            {serveWords.theJarAsComposedDresses} <strong>{servingsFrom(volumeMl, each)}</strong>
            {serveWords.aLitre} <strong>{servingsFrom(1000, each)}</strong>
          </>
        )}
        .
      </p>
      <p className="text-sm text-quiet">
        {bowl
          ? serveWords.sumOfItsThings
          : serveWords.mlper100gofMlPer100G(
              formatNumber(mlPer100GOf(kind, dressed, own), 0, settings),
              TAG_WORDS[DISHES[kind].tag],
            )}
        {mine > 0 && serveWords.drawnTowardsMineOfThis(mine)}. {lesson}
      </p>
      {version && (
        <Link
          to={`/formulas/${formulaId}/batch?v=${version.number}&by=volume&amount=${batch}`}
          className="justify-self-start font-semibold text-leaf underline"
        >
          {serveWords.planABatchOfFormatvolume(formatVolume(batch * 1000, settings))}
        </Link>
      )}
      <Link
        to={`/formulas/${formulaId}/pass${search}`}
        className="inline-flex min-h-11 items-center justify-self-start rounded-md border border-leaf px-4 font-semibold text-leaf"
      >
        {passWords.toThePass}
      </Link>
      {version && (
        <HowItWas
          key={`${bowl?.kept.id ?? kind} ${dressed}`}
          dish={dish}
          bowl={bowl}
          own={own}
          reckonedMl={need.ml}
          formulaId={formulaId}
          version={version}
          dishG={dishG}
        />
      )}
    </section>
  );
}

interface HowItWasProps {
  readonly dish: Dish;
  readonly bowl: Bowl | null;
  readonly own: readonly DressedEntry[];
  readonly reckonedMl: number;
  readonly formulaId: FormulaId;
  readonly version: VersionRecord;
  readonly dishG: number;
}

/** What it really took, and what was said of the bowl: the next figure leans towards it. */
function HowItWas({ dish, bowl, own, reckonedMl, formulaId, version, dishG }: HowItWasProps) {
  const { kind, dressed } = dish;
  const [text, setText] = useState('');
  const [said, setSaid] = useState<BowlVerdict | null>(null);
  const { value: ml, fits, wrong } = typedNumber(text, { above: 0, to: 500_000 });
  const before = bowl ? saidOf(bowl.kept.id, own) : null;
  const keep = (verdict: BowlVerdict | null): void => {
    const took = fits ? ml : reckonedMl;
    const about = { kind, dressed, massG: dishG, ml: took, verdict };
    const listed = { dishId: bowl?.kept.id ?? null, tableMl: bowl && bowl.tableMl > 0 ? bowl.tableMl : null };
    const dressing = { id: newId(), formulaId, version: version.number, ...about, ...listed };
    void put({ kind: 'dressing', dressing }).then(() => {
      setText('');
      setSaid(verdict);
    });
  };
  const shown = said ?? before;
  return (
    <form
      className="grid gap-3 border-t border-rule pt-3"
      onSubmit={(event) => {
        event.preventDefault();
        if (fits) keep(shown);
      }}
    >
      <div className="flex flex-wrap items-end gap-3">
        <Field
          label={serveWords.itReallyTookMl}
          inputMode="decimal"
          value={text}
          placeholder={bowl ? serveWords.asReckoned : undefined}
          onText={setText}
          problem={wrong ? serveWords.aVolumeAboveNothing : null}
          className="w-44"
        />
        <Button type="submit" disabled={!fits}>
          {serveWords.rememberIt}
        </Button>
      </div>
      {bowl && (
        <div role="group" aria-label={serveWords.theBowlWas} className="flex flex-wrap items-center gap-2">
          <span className="font-semibold">{serveWords.theBowlWas}</span>
          {BOWL_VERDICTS.map((verdict) => (
            <Button
              key={verdict}
              aria-pressed={shown === verdict}
              disabled={wrong}
              className="min-h-11 aria-pressed:border-leaf aria-pressed:bg-mint"
              onClick={() => {
                keep(verdict);
              }}
            >
              {BOWL_WORDS[verdict]}
            </Button>
          ))}
        </div>
      )}
      {bowl && shown && (
        <p role="status" className="text-sm text-quiet">
          {serveWords.saidNow(BOWL_WORDS[shown])}
        </p>
      )}
    </form>
  );
}

const AN_HOUR_MS = 3_600_000;
/** What was said of this bowl within the hour. */
function saidOf(dishId: string, own: readonly DressedEntry[]): BowlVerdict | null {
  const last = lastWords(own.filter((entry) => entry.dishId === dishId)).at(-1);
  return last && Date.now() - Date.parse(last.at) < AN_HOUR_MS ? last.verdict : null;
}
