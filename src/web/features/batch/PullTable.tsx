import { batchRunWords } from '#words/screens/batchRun';
import type { PullList } from '#core/batch';
import type { Settings } from '#contract';
import { sayNeeded, sayShort } from '#kitchen/paper';
import { formatMoney } from '#words/numbers';

interface PullTableProps {
  readonly list: PullList;
  readonly portions: number;
  readonly settings: Settings;
  /** One batch, or all of a day. */
  readonly onlyBatch?: boolean;
}

/** What to fetch, what is missing, what it costs. */
export function PullTable({ list, portions, settings, onlyBatch = false }: PullTableProps) {
  const { lines, cost, unpriced } = list;
  return (
    <section aria-label={batchRunWords.pullList} className="card p-4">
      <h2 className="font-name mb-1 text-lg font-bold">
        {onlyBatch ? batchRunWords.pullList : batchRunWords.pullListOfTheDay}
      </h2>
      <table className="w-full text-left text-sm" data-testid="pull-list">
        <caption className="sr-only">{batchRunWords.whatToFetch}</caption>
        <tbody>
          {lines.map((line) => {
            const short = sayShort(line, settings);
            return (
              <tr key={line.ingredient.id} className="border-t border-rule align-baseline">
                <th scope="row" className="py-1 pr-2 font-normal">
                  {line.ingredient.name}
                </th>
                <td className="text-right font-semibold">
                  {sayNeeded(line, settings)}
                  {short && <span className="block font-normal text-acid-ink">{short}</span>}
                </td>
                <td className="pl-2 text-right whitespace-nowrap text-quiet">
                  {line.ingredient.category === 'water'
                    ? batchRunWords.tap
                    : line.cost === null
                      ? batchRunWords.noPrice
                      : formatMoney(line.cost, settings)}
                </td>
              </tr>
            );
          })}
        </tbody>
      </table>
      <p className="mt-2" data-testid="batch-cost">
        {unpriced.length === lines.length ? (
          batchRunWords.noPricesInThePantry
        ) : (
          <>
            <strong>{formatMoney(cost, settings)}</strong>
            {unpriced.length > 0
              ? batchRunWords.withoutUnpriced(
                  unpriced.map(({ name }) => name.split(',')[0]!.toLowerCase()).join(', '),
                )
              : portions >= 1 && batchRunWords.formatmoneyAPortion(formatMoney(cost / portions, settings))}
          </>
        )}
      </p>
    </section>
  );
}
