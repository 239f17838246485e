import { useMemo } from 'react';
import { Link, useParams } from 'react-router';
import type { PanelRecord } from '#contract';
import { answerOf, cardsFor, judgeTest, type Card } from '#core/sensory';
import { sayResult } from '#words/sensory';
import { sideBySideWords } from '#words/screens/sideBySide';
import { Alert } from '../../ui/Alert';
import { sayError, useAnswerPanelMutation, usePanelsQuery } from '../../data/kitchenApi';
import { byNow, newId } from '../../sync/device';
import { Button } from '../../ui/Button';
import { Loading, Trouble } from '../../parts/PageState';
import { useSample } from './samples';
import { Warnings } from './Warnings';

export function PanelPage() {
  const { id } = useParams();
  const { data, error, refetch } = usePanelsQuery();
  const panel = data?.find((one) => one.id === id);
  if (panel) return <Panel panel={panel} />;
  if (error) return <Trouble error={error} retry={() => void refetch()} />;
  if (data) {
    return (
      <p className="card m-4 p-4">
        {sideBySideWords.thereIsNoSuchTasting}{' '}
        <Link to="/side-by-side" className="text-leaf underline">
          {sideBySideWords.allTastings}
        </Link>
      </p>
    );
  }
  return <Loading what={sideBySideWords.theTasting} />;
}

const ASKS = {
  triangle: sideBySideWords.twoAreAlikeWhichIs,
  paired: sideBySideWords.whichDoYouLikeBetter,
} as const;

/** Cards, answers, and what they come to. Which is which stays hidden until it is asked for. */
function Panel({ panel }: { panel: PanelRecord }) {
  const cards = useMemo(() => cardsFor(panel.kind, panel.tasters, panel.seed), [panel]);
  const [answer, answering] = useAnswerPanelMutation();
  const said = new Map(panel.answers.map(({ taster, code }) => [taster, code]));
  const choose = (taster: number, code: string): void => {
    void answer({ panelId: panel.id, id: newId(), taster, code, by: byNow() });
  };
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] gap-3">
      <div className="flex flex-wrap items-center gap-4 print:hidden">
        <h1 className="font-name text-2xl font-bold">
          {sideBySideWords.formTastersTasters(
            panel.kind === 'triangle' ? sideBySideWords.triangle2 : sideBySideWords.pair2,
            panel.tasters,
          )}
        </h1>
        <Link to="/side-by-side" className="text-leaf underline">
          {sideBySideWords.allTastings}
        </Link>
        <Button
          className="ml-auto"
          onClick={() => {
            window.print();
          }}
        >
          {sideBySideWords.printTheCards}
        </Button>
      </div>
      <div className="print:hidden">
        <Warnings a={panel.a} b={panel.b} />
      </div>
      <div className="grid grid-cols-[minmax(0,1fr)] gap-3.5 lg:grid-cols-[minmax(0,1fr)_400px] print:hidden">
        <section aria-label={sideBySideWords.answers} className="card p-4">
          <h2 className="font-name mb-2 text-lg font-bold">{ASKS[panel.kind]}</h2>
          <ol>
            {cards.map(({ taster, servings }) => (
              <li
                key={taster}
                className="flex flex-wrap items-center gap-4 border-t border-rule py-2"
                data-testid="taster"
              >
                <span className="w-24 font-semibold">{sideBySideWords.tasterTaster(taster)}</span>
                {servings.map(({ code }) => (
                  <Button
                    key={code}
                    className={`min-h-16 min-w-24 text-xl ${said.get(taster) === code ? 'border-2 border-leaf bg-tape-soft' : ''}`}
                    aria-pressed={said.get(taster) === code}
                    disabled={answering.isLoading}
                    onClick={() => {
                      choose(taster, code);
                    }}
                  >
                    {code}
                  </Button>
                ))}
              </li>
            ))}
          </ol>
          {answering.isError && (
            <Alert className="mt-2">{sideBySideWords.notRecordedError(sayError(answering.error))}</Alert>
          )}
        </section>
        <div className="grid grid-cols-[minmax(0,1fr)] content-start gap-3.5">
          <Result panel={panel} cards={cards} said={said} />
          <PourSheet panel={panel} cards={cards} />
        </div>
      </div>
      <PrintedCards panel={panel} cards={cards} />
    </div>
  );
}

function Result({
  panel,
  cards,
  said,
}: {
  panel: PanelRecord;
  cards: readonly Card[];
  said: ReadonlyMap<number, string>;
}) {
  const [a, b] = [useSample(panel.a).name, useSample(panel.b).name];
  const answers = cards.flatMap((card) => {
    const code = said.get(card.taster);
    const found = code === undefined ? null : answerOf(card, code);
    return found === null ? [] : [found];
  });
  const missing = panel.tasters - answers.length;
  const votesA = answers.filter((one) => one === 'a').length;
  const count =
    panel.kind === 'triangle'
      ? answers.filter((one) => one === 'right').length
      : Math.max(votesA, answers.length - votesA);
  if (missing > 0) {
    return (
      <section aria-label={sideBySideWords.result} className="card p-4">
        <h2 className="font-name mb-1 text-lg font-bold">{sideBySideWords.result}</h2>
        <p role="status" className="text-quiet">
          {sideBySideWords.formNotAnsweredYetCounting(
            missing === 1 ? sideBySideWords.oneTasterHas : sideBySideWords.missingTastersHave(missing),
          )}
        </p>
      </section>
    );
  }
  const result = judgeTest(panel.kind, answers.length, count);
  return (
    <section aria-label={sideBySideWords.result} className="card border-l-4 border-l-leaf p-4">
      <h2 className="font-name mb-1 text-lg font-bold">{sideBySideWords.result}</h2>
      <p role="status" className="text-lg font-semibold" data-testid="result">
        {sayResult(result)}
      </p>
      <p className="mt-2">
        {sideBySideWords.nameofAgainstNameof2(a, b)}
        {panel.kind === 'paired' && sideBySideWords.votesaForTheFirstPart(votesA, answers.length - votesA)}.
      </p>
      <p className="mt-2 text-sm text-quiet">
        {sideBySideWords.exactBinomialRisk5}
        {panel.kind === 'paired' && sideBySideWords.twoSided}
        {sideBySideWords.iso} {panel.kind === 'triangle' ? '4120' : '5495'}.
      </p>
    </section>
  );
}

/** For the one who pours and does not taste. */
function PourSheet({ panel, cards }: { panel: PanelRecord; cards: readonly Card[] }) {
  const names = { a: useSample(panel.a).name, b: useSample(panel.b).name };
  return (
    <details className="card p-4">
      <summary className="min-h-8 cursor-pointer font-semibold">{sideBySideWords.forWhoPoursNotFor}</summary>
      <table className="mt-2 w-full text-left text-sm">
        <caption className="sr-only">{sideBySideWords.whichCodeHoldsWhichDressing}</caption>
        <tbody>
          {cards.map(({ taster, servings }) => (
            <tr key={taster} className="border-t border-rule">
              <th scope="row" className="py-1 pr-2 font-semibold">
                {taster}
              </th>
              {servings.map(({ code, sample }) => (
                <td key={code} className="pr-2">
                  <strong>{code}</strong> {names[sample]}
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
    </details>
  );
}

/** One card a taster, allergens first; on paper only. */
function PrintedCards({ panel, cards }: { panel: PanelRecord; cards: readonly Card[] }) {
  return (
    <div className="hidden print:block">
      {cards.map(({ taster, servings }) => (
        <article key={taster} className="break-inside-avoid border-b-2 border-dashed border-ink py-6">
          <Warnings a={panel.a} b={panel.b} />
          <h2 className="mt-3 text-xl font-bold">{sideBySideWords.tasterTaster(taster)}</h2>
          <p>{sideBySideWords.tasteFromLeftToRight(ASKS[panel.kind])}</p>
          <p className="mt-4 flex gap-16 text-3xl font-bold">
            {servings.map(({ code }) => (
              <span key={code}>{code}</span>
            ))}
          </p>
        </article>
      ))}
    </div>
  );
}
