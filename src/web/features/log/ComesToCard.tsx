import { Link } from 'react-router';
import type { KitchenNews } from '#contract';
import type { ComesTo } from '#core/trial';
import type { IngredientId } from '#core/ingredient';
import { inSentence } from '#words/numbers';
import { MEASURE_WORDS, sayMeasure } from '#words/palate';
import { sayComesTo } from '#words/trial';
import { logWords } from '#words/screens/log';
import { useKitchenNewsQuery } from '../../data/kitchenApi';
import { useKitchen } from '../../data/kitchen';
import { jarsLink } from './logFilter';

const LINK = 'font-semibold text-leaf underline';

/** What the latest jars of the kitchen come to, in sentences that lead to the jars they speak of. */
export function ComesToCard() {
  const { data, isError } = useKitchenNewsQuery();
  if (data) return <Told news={data} />;
  // What is not known is not said: the jars below say that the server is away.
  if (isError) return null;
  return (
    <section aria-label={logWords.whatItComesTo} aria-busy className="card min-h-24 p-4">
      <h2 className="font-name text-lg font-bold">{logWords.whatItComesTo}</h2>
    </section>
  );
}

function Told({ news }: { readonly news: KitchenNews }) {
  const { catalogue } = useKitchen();
  const nameOf = (id: string): string => news.names[id] ?? logWords.aFormulaThatIsGone;
  const plainOf = (id: string): string => inSentence(catalogue.get(id as IngredientId)?.name ?? id);
  const told = new Set(
    news.comesTo.flatMap(({ formulaId, since }) => (since ? [`${formulaId} ${since.bottle}`] : [])),
  );
  const sentence = (key: string, to: string, link: string, more = '') => (
    <li key={key}>
      <Link to={to} className={LINK}>
        {link}
      </Link>
      {more}
    </li>
  );
  const lines = [
    ...news.comesTo.map((one) =>
      sentence(
        `comes ${one.formulaId}`,
        jarsLink(one.formulaId, one.jarIds),
        `${nameOf(one.formulaId)}: ${sayFound(one, plainOf)}`,
      ),
    ),
    ...news.drifting.map(({ formulaId, measure, from, to }) =>
      sentence(
        `drift ${formulaId}`,
        `/formulas/${formulaId}/log`,
        logWords.drifting(nameOf(formulaId), MEASURE_WORDS[measure].title.toLowerCase()),
        logWords.fromTo(
          sayMeasure(measure, from),
          `${sayMeasure(measure, to)} ${MEASURE_WORDS[measure].unit}`,
        ),
      ),
    ),
    ...news.bottles
      .filter(({ formulaId, bottle }) => !told.has(`${formulaId} ${bottle}`))
      .map(({ formulaId, ingredientId, bottle, ...right }) =>
        sentence(
          `bottle ${formulaId} ${ingredientId} ${bottle}`,
          `/formulas/${formulaId}/log?${new URLSearchParams({ bottle }).toString()}`,
          logWords.withBottle(nameOf(formulaId), plainOf(ingredientId), bottle),
          logWords.rightOf(right.rightWith, right.madeWith, right.rightWithout, right.madeWithout),
        ),
      ),
  ];
  return (
    <section aria-label={logWords.whatItComesTo} className="card p-4" data-testid="comes-to">
      <h2 className="font-name mb-1 text-lg font-bold">{logWords.whatItComesTo}</h2>
      {lines.length > 0 ? (
        <ul className="grid gap-1">{lines}</ul>
      ) : (
        <p className="text-quiet">{logWords.nothingKeepsComing}</p>
      )}
      <p className="mt-1 text-sm text-quiet">
        {news.week.length > 0 &&
          `${logWords.madeThisWeek(news.week.map(({ formulaId, count }) => logWords.nameTimes(nameOf(formulaId), count)).join(', '))} `}
        {lines.length > 0 && logWords.fromTheLatest300Jars}
      </p>
    </section>
  );
}

const sayFound = (one: ComesTo, plainOf: (id: string) => string): string =>
  sayComesTo(one, one.since && plainOf(one.since.ingredientId));
