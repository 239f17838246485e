import { TAG_WORDS } from '#words/tags';
import { DRESSED_WORDS } from '#words/service';
import { useState } from 'react';
import { Link } from 'react-router';
import type { VersionRecord } from '#contract';
import type { FormulaId } from '#core/formula';
import { DISHES, mlPer100GOf, servingsFrom, type DressedEntry, type DressingNeed } from '#core/service';
import { serveWords } from '#words/screens/serve';
import { put } from '../../sync/outbox';
import { formatAmount, formatMass, formatNumber, formatVolume } from '#words/numbers';
import { typedNumber } from '../../form/typed';
import { newId } from '../../sync/device';
import type { Kitchen } from '#kitchen/reading';
import { Button } from '../../ui/Button';
import { Field } from '../../ui/Field';
import type { Dish } from './dish';

interface HowMuchProps {
  readonly dish: Dish;
  readonly own: readonly DressedEntry[];
  /** What it takes; null: what was typed says no dish. */
  readonly need: DressingNeed | null;
  /** It was listed thing by thing. */
  readonly listed: boolean;
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
  listed,
  kitchen,
  version,
  formulaId,
  volumeMl,
  massG,
}: HowMuchProps) {
  const { settings } = kitchen;
  const { kind, dressed, massG: dishG, covers, servingG } = dish;
  if (need === null || dishG === null || covers === null || servingG === null)
    return (
      <section aria-label={serveWords.howMuch} className="card p-4">
        <p className="text-quiet">
          {listed ? serveWords.sayWhatIsInTheBowl : serveWords.sayWhatOneServingWeighs}
        </p>
      </section>
    );
  const each = need.ml / covers;
  const density = volumeMl > 0 ? massG / volumeMl : 1;
  const mine = own.filter((entry) => entry.kind === kind && entry.dressed === dressed).length;
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
        {listed
          ? serveWords.sumOfItsThings
          : serveWords.mlper100gofMlPer100G(
              formatNumber(mlPer100GOf(kind, dressed, own), 0, settings),
              TAG_WORDS[DISHES[kind].tag],
            )}
        {mine > 0 && serveWords.drawnTowardsMineOfThis(mine)}.
      </p>
      {version && (
        <Link
          to={`/formulas/${formulaId}/batch?v=${version.number}&by=volume&amount=${batch}`}
          className="justify-self-start font-semibold text-leaf underline"
        >
          {serveWords.planABatchOfFormatvolume(formatVolume(batch * 1000, settings))}
        </Link>
      )}
      {version && (
        <TookInstead
          key={`${kind} ${dressed}`}
          dish={dish}
          formulaId={formulaId}
          version={version}
          dishG={dishG}
        />
      )}
    </section>
  );
}

/** What it really took: the next figure leans towards it. */
function TookInstead({
  dish: { kind, dressed },
  formulaId,
  version,
  dishG,
}: {
  dish: Dish;
  formulaId: FormulaId;
  version: VersionRecord;
  dishG: number;
}) {
  const [text, setText] = useState('');
  const { value: ml, fits, wrong } = typedNumber(text, { above: 0, to: 500_000 });
  return (
    <form
      className="flex flex-wrap items-end gap-3 border-t border-rule pt-3"
      onSubmit={(event) => {
        event.preventDefault();
        if (!fits) return;
        const dressing = { id: newId(), formulaId, version: version.number, kind, dressed, massG: dishG, ml };
        void put({ kind: 'dressing', dressing }).then(() => {
          setText('');
        });
      }}
    >
      <Field
        label={serveWords.itReallyTookMl}
        inputMode="decimal"
        value={text}
        onText={setText}
        problem={wrong ? serveWords.aVolumeAboveNothing : null}
        className="w-44"
      />
      <Button type="submit" disabled={!fits}>
        {serveWords.rememberIt}
      </Button>
    </form>
  );
}
