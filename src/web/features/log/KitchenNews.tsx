import { Link } from 'react-router';
import type { KitchenNews as KitchenNewsAnswer } from '#contract';
import type { FormulaId } from '#core/formula';
import type { IngredientId } from '#core/ingredient';
import { MEASURE_WORDS, sayMeasure } from '#words/palate';
import { logWords } from '#words/screens/log';
import { useKitchenNewsQuery } from '../../data/kitchenApi';
import { useKitchen } from '../../data/kitchen';

const NO_NEWS: KitchenNewsAnswer = { week: [], failing: [], drifting: [], bottles: [], names: {} };

/** What the latest jars come to: made this week, what keeps failing, what drifts, which bottle changed things. */
export function KitchenNews() {
  const news = useKitchenNewsQuery().data ?? NO_NEWS;
  const { catalogue } = useKitchen();
  const link = (id: FormulaId) => (
    <Link to={`/formulas/${id}/log`} className="font-semibold text-leaf underline">
      {news.names[id] ?? logWords.aFormulaThatIsGone}
    </Link>
  );
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] content-start gap-3.5">
      <News title={logWords.madeThisWeek} none={logWords.nothingYetThisWeek}>
        {news.week.map(({ formulaId, count }) => (
          <li key={formulaId}>
            {link(formulaId)}: {count === 1 ? logWords.oneJar : logWords.countJars(count)}
          </li>
        ))}
      </News>
      <News title={logWords.keepsFailing} none={logWords.noFormulaOfTwoJars}>
        {news.failing.map(({ formulaId, failed, tasted }) => (
          <li key={formulaId}>
            {link(formulaId)}
            {logWords.failedOfTheLastTasted(failed, tasted)}
          </li>
        ))}
      </News>
      <News title={logWords.drifts} none={logWords.noFormulaOfFourJars}>
        {news.drifting.map(({ formulaId, measure, from, to }) => (
          <li key={formulaId}>
            {link(formulaId)}: {MEASURE_WORDS[measure].title} {sayMeasure(measure, from)} →{' '}
            {sayMeasure(measure, to)} {MEASURE_WORDS[measure].unit}
          </li>
        ))}
      </News>
      <News title={logWords.bottlesThatChangedThings} none={logWords.noBottleStandsOutYet}>
        {news.bottles.map((change) => (
          <li key={`${change.formulaId} ${change.ingredientId} ${change.bottle}`}>
            {link(change.formulaId)} {logWords.with}{' '}
            {logWords.partBottleRightAsMade(
              catalogue.get(change.ingredientId as IngredientId)?.name.toLowerCase() ?? change.ingredientId,
              change.bottle,
              change.rightWith,
              change.madeWith,
            )}{' '}
            {logWords.rightwithoutOfMadewithout(change.rightWithout, change.madeWithout)}
          </li>
        ))}
      </News>
      <p className="text-sm text-quiet">{logWords.fromTheLatest300Jars}</p>
    </div>
  );
}

function News({
  title,
  none,
  children,
}: {
  title: string;
  none: string;
  children: readonly React.ReactNode[];
}) {
  return (
    <section aria-label={title} className="card p-4">
      <h2 className="font-name mb-1 font-bold">{title}</h2>
      {children.length > 0 ? (
        <ul className="grid gap-1 text-sm">{children}</ul>
      ) : (
        <p className="text-sm text-quiet">{none}</p>
      )}
    </section>
  );
}
