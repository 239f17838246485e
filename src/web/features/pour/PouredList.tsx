import type { FreePour, PouredLine, PouredThing } from '#kitchen/pour';
import { massOf, unnamedIn } from '#kitchen/pour';
import { handMeasure, type Kitchen } from '#kitchen/reading';
import { formatAmount } from '#words/numbers';
import { pourWords } from '#words/screens/pour';
import { Button } from '../../ui/Button';

interface PouredListProps {
  readonly pour: FreePour;
  readonly lines: readonly PouredLine[];
  readonly kitchen: Kitchen;
  readonly askedId: string | null;
  readonly onAsk: (id: string) => void;
  readonly onOut: (id: string) => void;
  /** Null: nothing to take back. */
  readonly onUndo: (() => void) | null;
}

/** Everything that went in: what has a name summed up, each pour to be named anew or taken out. */
export function PouredList(props: PouredListProps) {
  const { pour, lines, kitchen, onUndo } = props;
  const { settings, catalogue } = kitchen;
  return (
    <section aria-label={pourWords.inTheJar} className="card p-4">
      <div className="flex items-center justify-between gap-4">
        <h2 className="font-name text-lg font-bold">{pourWords.inTheJar}</h2>
        <Button className="min-h-16 px-5" disabled={onUndo === null} onClick={onUndo ?? undefined}>
          {pourWords.undo}
        </Button>
      </div>
      {pour.things.length === 0 && <p className="text-quiet">{pourWords.nothingYet}</p>}
      <ul data-testid="poured">
        {lines.map(({ ingredient, form, massG, things }) => (
          <li key={`${ingredient.id} ${form}`} className="grid border-b border-rule py-1">
            {things.map((thing, i) => (
              <Row
                key={thing.id}
                {...props}
                thing={thing}
                name={i === 0 ? ingredient.name : ''}
                amount={i === 0 ? handMeasure(massG, ingredient, settings.spoons, settings) : ''}
                alone={things.length === 1}
              />
            ))}
          </li>
        ))}
        {unnamedIn(pour).map((thing) => (
          <li key={thing.id} className="border-b border-rule py-1">
            <Row
              {...props}
              thing={thing}
              name={formatAmount(massOf(thing, catalogue), 'g', settings)}
              amount={pourWords.noName}
              alone
            />
          </li>
        ))}
      </ul>
    </section>
  );
}

interface RowProps extends PouredListProps {
  readonly thing: PouredThing;
  readonly name: string;
  readonly amount: string;
  /** The only pour of it: its grams stand in the sum. */
  readonly alone: boolean;
}
function Row({ thing, name, amount, alone, kitchen, askedId, onAsk, onOut }: RowProps) {
  const grams = formatAmount(massOf(thing, kitchen.catalogue), 'g', kitchen.settings);
  const known = howKnown(thing);
  const beside = [alone ? '' : grams, known].filter(Boolean).join(', ');
  const which = `: ${name || grams}${name ? `, ${grams}` : ''}`;
  return (
    <div className="flex flex-wrap items-center gap-x-4">
      <span className="min-w-0 flex-1 basis-52 [overflow-wrap:anywhere]">
        <span className="font-semibold">{name}</span> {amount}{' '}
        {beside && <span className="text-sm text-quiet">{beside}</span>}
      </span>
      <span className="ml-auto flex gap-4">
        <Button
          className="min-h-11"
          aria-pressed={thing.id === askedId}
          onClick={() => {
            onAsk(thing.id);
          }}
        >
          {thing.ingredientId === null ? pourWords.nameIt : pourWords.otherName}
          <span className="sr-only">{which}</span>
        </Button>
        <Button
          kind="quiet"
          className="min-h-11"
          onClick={() => {
            onOut(thing.id);
          }}
        >
          {pourWords.takeOut}
          <span className="sr-only">{which}</span>
        </Button>
      </span>
    </div>
  );
}

/** Weighed is the rule here and not said. */
const howKnown = ({ raisedMl, said }: PouredThing): string =>
  raisedMl !== null ? pourWords.byLevel : said ? pourWords.bySpoon : '';
