import { useMemo, useRef, type ReactNode } from 'react';
import { Link } from 'react-router';
import type { Kin, VersionRecord } from '#contract';
import { standingOf, versionState, type Standing } from '#core/trial';
import { lineageOf, type LineageRow } from '#kitchen/reading';
import { formatMoment } from '#words/numbers';
import { versionsWords } from '#words/screens/versions';
import { VERSION_STATE_WORDS, sayVersion } from '#words/version';
import { useJars } from '../../data/jars';
import { useKitchen } from '../../data/kitchen';
import { sayError, useCooksQuery, useKinQuery } from '../../data/kitchenApi';
import { NextStep } from '../../parts/NextStep';
import { TermOf } from '../../parts/TermOf';
import type { WorkingFormula } from '../../sync/working';
import { Alert } from '../../ui/Alert';
import { Button } from '../../ui/Button';
import { GoOn, TakeOver } from './goOn';
import { walkTree } from './walkTree';

interface LineageProps {
  readonly working: WorkingFormula;
  readonly versions: readonly VersionRecord[];
  /** What is worked on is in no version. */
  readonly changed: boolean;
  readonly onCompare: (number: number) => void;
  readonly onRestore: (version: VersionRecord) => void;
}

/** What it is made of, itself, its versions, and beneath each what goes on from it: one tree, walked by key. */
export function Lineage({ working, versions, changed, onCompare, onRestore }: LineageProps) {
  const { id, formula, baseVersion } = working;
  const { data, error, refetch } = useKinQuery(id);
  const rows = useMemo(() => lineageOf(versions), [versions]);
  const { jars } = useJars(id);
  const tree = useRef<HTMLUListElement>(null);
  const { bases = [], endings = [] } = data ?? {};
  const own = bases.length > 0 ? 2 : 1;
  return (
    <section aria-label={versionsWords.lineage} className="card p-4">
      <div className="mb-2 flex flex-wrap items-baseline justify-between gap-2">
        <h2 className="font-name text-lg font-bold">{versionsWords.lineage}</h2>
        <p className="text-sm text-quiet">
          {versionsWords.whatIs} <TermOf term="version" />
          {versionsWords.whatIsAnd} <TermOf term="proven" />?
        </p>
        <Link to={`/formulas/${id}/share`} className="ml-auto text-leaf underline">
          {versionsWords.shareIt}
        </Link>
        <Link to={`/side-by-side?formula=${id}`} className="text-leaf underline">
          {versionsWords.tasteTwoSideBySide}
        </Link>
      </div>
      {error !== undefined && (
        <Alert className="mb-2">
          {versionsWords.familyNotFetched(sayError(error))}{' '}
          <Button onClick={() => void refetch()}>{versionsWords.tryAgain}</Button>
        </Alert>
      )}
      <ul
        ref={tree}
        role="tree"
        aria-label={versionsWords.family}
        data-testid="family"
        onKeyDown={(event) => {
          walkTree(event, tree.current);
        }}
      >
        {bases.map((base) => (
          <KinItem key={base.formulaId} kin={base} level={1} says={versionsWords.madeWith(base.number)} />
        ))}
        <Item level={own} isNow className="bg-tape font-semibold">
          {formula.name}
        </Item>
        {changed && versions.length > 0 && (
          <Item level={own + 1} className="font-semibold">
            {versionsWords.formulaAsItStandsNow(sayVersion(formula, baseVersion))}
          </Item>
        )}
        {rows.map((row) => (
          <VersionItem
            key={row.version.number}
            row={row}
            level={own + 1 + row.depth}
            standings={(jars ?? [])
              .filter((jar) => jar.version === row.version.number && jar.batch?.role !== 'load')
              .map((jar) => standingOf(jar.events))}
            isBase={row.version.number === baseVersion?.number}
            onCompare={() => {
              onCompare(row.version.number);
            }}
            onRestore={() => {
              onRestore(row.version);
            }}
            endings={endings.filter(({ number }) => number === row.version.number)}
          />
        ))}
      </ul>
      {versions.length === 0 ? (
        <NextStep
          says={versionsWords.nothingFrozenYetOnCompose}
          label={versionsWords.toCompose}
          to={`/formulas/${id}/compose`}
        />
      ) : (
        <p className="mt-1 hidden text-sm text-quiet sm:block">{versionsWords.keysOfTheTree}</p>
      )}
      <div className="mt-3 flex flex-wrap gap-3">
        <GoOn working={working} latest={versions[0]?.number ?? 0} />
        <Behind working={working} endings={endings} />
      </div>
    </section>
  );
}

function Behind({ working, endings }: { working: WorkingFormula; endings: readonly Kin[] }) {
  const behind = endings.filter((one) => one.number < one.latest);
  return behind.length > 0 && <TakeOver working={working} behind={behind} />;
}

const INDENT_PX = 18;

/** The line at its left is that of the one above it. */
function Item({
  level,
  isNow = false,
  className = '',
  testid,
  children,
}: {
  level: number;
  isNow?: boolean;
  className?: string;
  testid?: string;
  children: ReactNode;
}) {
  return (
    <li
      role="treeitem"
      aria-level={level}
      aria-current={isNow ? 'true' : undefined}
      tabIndex={isNow ? 0 : -1}
      data-testid={testid}
      className={`rounded-r-md px-2 py-1 ${level > 1 ? 'border-l-2 border-l-edge' : 'rounded-md'} ${className}`}
      style={{ marginLeft: (level - 1) * INDENT_PX }}
    >
      {children}
    </li>
  );
}

function KinItem({ kin, level, says }: { kin: Kin; level: number; says: string }) {
  return (
    <Item level={level} className="flex flex-wrap items-baseline gap-x-3">
      <Link
        to={`/formulas/${kin.formulaId}/versions`}
        tabIndex={-1}
        data-goes=""
        className="font-semibold text-leaf underline"
      >
        {kin.name}
      </Link>
      <span className="text-sm text-quiet">
        {says}
        {kin.number < kin.latest && versionsWords.newerIsThere(kin.latest)}
      </span>
    </Item>
  );
}

/** "tried, right once of 2 makings": the kitchen's own count. */
function sayState(standings: readonly Standing[], provenAfter: number): string {
  const { state, right, made } = versionState(standings, provenAfter);
  if (state === 'draft') return VERSION_STATE_WORDS.draft;
  const makings = made === 1 ? versionsWords.madeOnce : versionsWords.madeMadeTimes(made);
  const count =
    right === 0 ? versionsWords.notRightAsMadeYet : versionsWords.rightAsMadeRightOf(right, provenAfter);
  return state === 'proven'
    ? versionsWords.provenMakingsRightRightTimes(makings, right)
    : versionsWords.triedMakingsCount(makings, count);
}

interface VersionItemProps {
  readonly row: LineageRow;
  readonly level: number;
  readonly standings: readonly Standing[];
  /** The working changes grow from it. */
  readonly isBase: boolean;
  readonly onCompare: () => void;
  readonly onRestore: () => void;
  /** What goes on from this very version. */
  readonly endings: readonly Kin[];
}

function VersionItem({ row, level, standings, isBase, onCompare, onRestore, endings }: VersionItemProps) {
  const { version } = row;
  const { provenAfter } = useKitchen().settings;
  const cooks = useCooksQuery().data ?? [];
  const cook = cooks.find(({ id }) => id === version.by.cookId);
  return (
    <>
      <Item
        level={level}
        testid={`version-${version.number}`}
        className="grid grid-cols-[2.6rem_minmax(0,1fr)] items-center gap-x-2 sm:grid-cols-[2.6rem_minmax(0,1fr)_auto]"
      >
        <span className={`font-name font-bold ${isBase ? 'justify-self-start bg-tape px-1.5' : ''}`}>
          v{version.number}
        </span>
        <span className="text-sm">
          {sayState(standings, provenAfter)}
          {version.parent !== null && row.branches && versionsWords.branchedFromVParent(version.parent)}
        </span>
        <span className="col-start-2 flex flex-wrap gap-1.5 sm:col-start-auto">
          <Button data-goes="" onClick={onCompare}>
            {versionsWords.compare}
          </Button>
          <Button
            data-brings=""
            onClick={onRestore}
            disabled={isBase}
            title={isBase ? versionsWords.theWorkingChangesGrowFrom : undefined}
          >
            {versionsWords.bringBack}
          </Button>
        </span>
        <span className="col-span-2 col-start-2 text-sm text-quiet">
          <time dateTime={version.createdAt}>{formatMoment(version.createdAt)}</time>
          {cook && versionsWords.byName(cook.name)}
          {version.note && `: ${version.note}`}
        </span>
      </Item>
      {endings.map((ending) => (
        <KinItem
          key={ending.formulaId}
          kin={ending}
          level={level + 1}
          says={versionsWords.goesOnFrom(ending.number)}
        />
      ))}
    </>
  );
}
