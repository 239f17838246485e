import { memo, Suspense, useId } from 'react';
import { Link } from 'react-router';
import type { Shelf, ShelfRecord } from '#contract';
import { VERSION_STATE_WORDS, sayStanding } from '#words/version';
import { brimHeightMm } from '#core/vessel';
import { shelfWords } from '#words/screens/shelf';
import { Jar } from '../../parts/drawing/Jar';
import { jarParts } from '../../parts/drawing/jarParts';
import { formatAmount, formatPercent, formatRatio } from '#words/numbers';
import { vesselOf, type Kitchen } from '#kitchen/reading';
import { useStands } from '../../ui/useStands';
import { shownOf } from './shown';
import { later } from '../../ui/later';

/** Pixels per millimetre on the shelf: all jars to one scale, so that a litre looks like a litre. */
const SHELF_SCALE = 1.06;
/** A canister would hide its neighbours: the tallest and widest that stand here. */
const TALLEST_PX = 226;
const WIDEST_PX = 210;

export interface JarActions {
  readonly rename: (record: ShelfRecord) => void;
  readonly duplicate: (record: ShelfRecord) => void;
  readonly move: (record: ShelfRecord, shelf: Shelf) => void;
}

/** Drawn again only when its formula or the kitchen changes: scrolling must cost nothing. */
export const ShelfJar = memo(function ShelfJar({
  record,
  kitchen,
  actions,
  chosen,
  onChoose,
}: {
  record: ShelfRecord;
  kitchen: Kitchen;
  actions: JarActions;
  /** Null: it is opened when it is pressed, not chosen. */
  chosen: boolean | null;
  onChoose: (record: ShelfRecord) => void;
}) {
  const { formula, state } = record;
  const { settings } = kitchen;
  const vessel = vesselOf(formula, kitchen.vessels);
  const { reckoning, judgement } = shownOf(record, kitchen);
  const { keeping, cautions } = judgement;
  const rawEgg = cautions.some(({ code }) => code === 'raw_egg');
  const widest = 2 * Math.max(...vessel.outline.map(({ radiusMm }) => radiusMm));
  const { oilToAcidVolumeRatio: ratio, fatMassFraction: fat } = reckoning.totals.measures;
  const volume = formatAmount(reckoning.totals.mixedVolumeMl, 'ml', settings);
  const unread = reckoning.additions.filter(({ reading }) => reading.status === 'unread').length;
  const lead =
    ratio !== null && ratio > 0
      ? formatRatio(ratio, settings)
      : shelfWords.fatFat(formatPercent(fat, settings, 0));
  // All that is seen of it is heard of it, the name first; the drawing says nothing more.
  const seen = useId();
  const shown = (
    <>
      <span className="board relative flex h-[236px] items-end justify-center pb-[7px]">
        <Jar
          vessel={vessel}
          parts={jarParts(reckoning)}
          width={Math.min(WIDEST_PX, Math.ceil(widest * SHELF_SCALE) + 8)}
          height={Math.min(TALLEST_PX, Math.ceil(brimHeightMm(vessel.outline) * SHELF_SCALE) + 8)}
          label={shelfWords.nameFillshareFull(vessel.name, formatPercent(reckoning.fillShare, settings, 0))}
        />
      </span>
      <span id={seen} className="flex flex-col items-center px-6 pt-2 text-center">
        <span className="tape font-name line-clamp-2 max-w-full px-3 py-1 leading-5 font-semibold [overflow-wrap:anywhere]">
          {formula.name}
        </span>
        <span className="pt-1 text-sm">
          {lead} · {volume}
        </span>
        <span className="text-sm text-quiet">
          {sayStanding(formula.basedOnVersion, record.changed)}
          {(state === 'tried' || state === 'proven') && ` ${VERSION_STATE_WORDS[state]}`}
          {reckoning.portions.length > 0 && ` · ${shelfWords.keepsDays(keeping.days, keeping.cold)}`}
          {rawEgg && ' '}
          {rawEgg && <strong className="text-acid-ink">{shelfWords.rawEgg}</strong>}
        </span>
        {unread > 0 && (
          <span className="text-sm font-semibold text-acid-ink">
            {shelfWords.unreadFormNotRead(unread, unread === 1 ? shelfWords.line : shelfWords.lines)}
          </span>
        )}
      </span>
    </>
  );
  return (
    <li className="group/jar relative">
      {chosen === null ? (
        <Link
          to={`/formulas/${record.id}/compose`}
          className="group flex h-full flex-col"
          aria-labelledby={seen}
        >
          {shown}
        </Link>
      ) : (
        <label
          className={`keeps-colour group flex h-full cursor-pointer flex-col rounded-lg border-2 has-focus-visible:outline-3 has-focus-visible:outline-leaf ${chosen ? 'border-leaf bg-mint' : 'border-transparent hover:border-edge'}`}
        >
          <input
            type="checkbox"
            className="absolute top-2 left-2 z-10 size-7 accent-leaf"
            aria-labelledby={seen}
            checked={chosen}
            onChange={() => {
              onChoose(record);
            }}
          />
          {shown}
        </label>
      )}
      {chosen === null && (
        <span className="absolute top-[244px] right-1">
          <JarMenu record={record} actions={actions} />
        </span>
      )}
    </li>
  );
});

const Menu = later(async () => (await import('../../ui/Menu')).Menu);

function JarMenu({ record, actions }: { record: ShelfRecord; actions: JarActions }) {
  const stands = useStands();
  return stands ? (
    <Suspense fallback={null}>
      <Menu label={shelfWords.moreAboutName(record.formula.name)} groups={menuOf(record, actions)} />
    </Suspense>
  ) : null;
}

function menuOf(record: ShelfRecord, actions: JarActions) {
  const to = (label: string, shelf: Shelf, grave = false) => ({
    label,
    grave,
    onSelect: () => {
      actions.move(record, shelf);
    },
  });
  const edit = [
    {
      label: shelfWords.duplicate,
      onSelect: () => {
        actions.duplicate(record);
      },
    },
    {
      label: shelfWords.rename2,
      onSelect: () => {
        actions.rename(record);
      },
    },
  ];
  switch (record.shelf) {
    case 'shelf':
      return [[...edit, to(shelfWords.archive, 'archive')], [to('Delete', 'bin', true)]];
    case 'archive':
      return [[...edit, to(shelfWords.backOnTheShelf, 'shelf')], [to('Delete', 'bin', true)]];
    case 'bin':
      return [[to(shelfWords.backOnTheShelf, 'shelf')]];
  }
}
