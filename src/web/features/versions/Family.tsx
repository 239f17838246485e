import { useRef, useState, type KeyboardEvent } from 'react';
import { Link, useNavigate } from 'react-router';
import type { Kin } from '#contract';
import { emptyFormula, type AdditionId, type FormulaId } from '#core/formula';
import { madeId, madeName } from '#core/ingredient';
import { withBaseAt } from '#kitchen/edits';
import { versionsWords } from '#words/screens/versions';
import { sayError, useCreateFormulaMutation, useKinQuery } from '../../data/kitchenApi';
import { newId } from '../../sync/device';
import { keyOf } from '../../sync/shared';
import { openShared } from '../../sync/sync';
import { store } from '../../sync/store';
import { formulaEdited, workingOf, type WorkingFormula } from '../../sync/working';
import { Alert } from '../../ui/Alert';
import { Button } from '../../ui/Button';

interface FamilyProps {
  readonly working: WorkingFormula;
  /** The newest version there is; 0: none was saved yet. */
  readonly latest: number;
}

/** What it is made of, itself, and what goes on from it: one tree, walked by the arrows. */
export function Family({ working, latest }: FamilyProps) {
  const { id, formula } = working;
  const { data, error, refetch } = useKinQuery(id);
  const tree = useRef<HTMLUListElement>(null);
  const { bases = [], endings = [] } = data ?? {};
  const behind = endings.filter((one) => one.number < one.latest);
  return (
    <section aria-label={versionsWords.family} className="card p-4">
      <h2 className="font-name mb-2 text-lg font-bold">{versionsWords.family}</h2>
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
        onKeyDown={(event) => walk(event, tree.current)}
      >
        {bases.map((base) => (
          <Branch key={base.formulaId} kin={base} level={1} says={versionsWords.madeWith(base.number)} />
        ))}
        <li
          role="treeitem"
          aria-level={bases.length > 0 ? 2 : 1}
          aria-current="true"
          tabIndex={0}
          className="rounded-md bg-tape px-2 py-1 font-semibold"
          style={{ marginLeft: bases.length > 0 ? INDENT_PX : 0 }}
        >
          {formula.name}
        </li>
        {endings.map((ending) => (
          <Branch
            key={ending.formulaId}
            kin={ending}
            level={bases.length > 0 ? 3 : 2}
            says={versionsWords.goesOnFrom(ending.number)}
          />
        ))}
      </ul>
      {data && endings.length === 0 && (
        <p className="mt-1 text-sm text-quiet">{versionsWords.nothingGoesOn}</p>
      )}
      <div className="mt-3 flex flex-wrap gap-3">
        <GoOn working={working} latest={latest} />
        {behind.length > 0 && <TakeOver working={working} behind={behind} />}
      </div>
    </section>
  );
}

const INDENT_PX = 18;

function Branch({ kin, level, says }: { kin: Kin; level: number; says: string }) {
  return (
    <li
      role="treeitem"
      aria-level={level}
      tabIndex={-1}
      className="flex flex-wrap items-baseline gap-x-3 rounded-md border-l-2 border-l-rule px-2 py-1"
      style={{ marginLeft: (level - 1) * INDENT_PX }}
    >
      <Link
        to={`/formulas/${kin.formulaId}/versions`}
        tabIndex={-1}
        className="font-semibold text-leaf underline"
      >
        {kin.name}
      </Link>
      <span className="text-sm text-quiet">
        {says}
        {kin.number < kin.latest && versionsWords.newerIsThere(kin.latest)}
      </span>
    </li>
  );
}

/** Up and down, first and last; right and Enter go there. */
function walk(event: KeyboardEvent, tree: HTMLElement | null): void {
  const items = [...(tree?.querySelectorAll<HTMLElement>('[role=treeitem]') ?? [])];
  const now = items.findIndex((item) => item.contains(document.activeElement));
  const to = { ArrowDown: now + 1, ArrowUp: now - 1, Home: 0, End: items.length - 1 }[event.key];
  if (to !== undefined) {
    event.preventDefault();
    items[Math.max(0, Math.min(items.length - 1, to))]?.focus();
  } else if (event.key === 'Enter' || event.key === 'ArrowRight') {
    const link = items[now]?.querySelector('a');
    if (!link) return;
    event.preventDefault();
    link.click();
  }
}

/** Another formula that goes on from the newest version: the base stands in it as one line, pinned. */
function GoOn({ working: { id, formula }, latest }: FamilyProps) {
  const [create, creating] = useCreateFormulaMutation();
  const navigate = useNavigate();
  const go = async (): Promise<void> => {
    const ending = newId() as FormulaId;
    const start = emptyFormula(
      versionsWords.goingOn(formula.name).slice(0, 120),
      formula.vesselId,
      formula.spoons,
    );
    const addition = {
      id: newId() as AdditionId,
      amountText: versionsWords.someOfIt,
      ingredientId: madeId(id, latest),
      ingredientText: madeName(formula.name, latest),
      form: '',
      note: '',
      phase: 'base' as const,
      optional: false,
      locked: false,
      measuredBy: null,
      stage: 0,
      rank: 0,
    };
    await create({
      id: ending,
      formula: { ...start, servingVolumeMl: formula.servingVolumeMl, additions: [addition] },
    }).unwrap();
    void navigate(`/formulas/${ending}/compose`);
  };
  return (
    <>
      <Button
        disabled={latest === 0 || creating.isLoading}
        title={latest === 0 ? versionsWords.saveAVersionFirst : undefined}
        onClick={() => {
          go().catch(() => undefined);
        }}
      >
        {versionsWords.goOnFromIt}
      </Button>
      {latest === 0 && (
        <span className="self-center text-sm text-quiet">{versionsWords.saveAVersionFirst}</span>
      )}
      {creating.isError && <Alert>{versionsWords.notMade(sayError(creating.error))}</Alert>}
    </>
  );
}

/** What goes on from an older version takes the newest over; each can be undone where it is. */
function TakeOver({ working: { id, formula }, behind }: { working: WorkingFormula; behind: readonly Kin[] }) {
  const [busy, setBusy] = useState(false);
  const [trouble, setTrouble] = useState<string | null>(null);
  const version = behind[0]!.latest;
  const take = async (): Promise<void> => {
    setBusy(true);
    setTrouble(null);
    try {
      for (const { formulaId } of behind) {
        const key = keyOf('formula', formulaId);
        await openShared(key);
        const work = store.getState().work.byKey[key];
        if (!work) continue;
        store.dispatch(
          formulaEdited(formulaId, withBaseAt(workingOf(work).formula, id, version, formula.name)),
        );
      }
    } catch (error) {
      setTrouble(sayError(error));
    }
    setBusy(false);
  };
  return (
    <>
      <Button disabled={busy} onClick={() => void take()}>
        {versionsWords.takeOverInAll(version, behind.length)}
      </Button>
      {trouble !== null && <Alert>{versionsWords.notTakenOver(trouble)}</Alert>}
    </>
  );
}
