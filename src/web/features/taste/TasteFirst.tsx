import { useState } from 'react';
import { Link } from 'react-router';
import type { Finding, Remedy } from '#core/balance';
import type { Kitchen } from '#kitchen/reading';
import { sayComplaints, sayDoses } from '#words/balance';
import { sayFinding } from '#words/finding';
import { partsWords } from '#words/screens/parts';
import { tasteWords } from '#words/screens/taste';
import type { Jar } from '../../data/jars';
import { FirstStrip } from '../../parts/FirstSentence';
import type { WorkingFormula } from '../../sync/working';
import { Button } from '../../ui/Button';
import { useShortcuts } from '../../ui/shortcuts';
import { Flat, TasteActions } from './WhatItSays';
import type { TastingDraft } from './useTasting';
import { KeepVersion } from './KeepVersion';

interface TasteFirstProps {
  readonly working: WorkingFormula;
  readonly jar: Jar;
  readonly kitchen: Kitchen;
  /** The mouth called it right. */
  readonly right: boolean;
  /** What is reckoned of it, until a mouth has said anything. */
  readonly finding: Finding;
  readonly fitted: boolean;
  readonly draft: TastingDraft;
  readonly remedy: Remedy | null;
  /** Null while something typed beside it does not fit. */
  readonly onPutIn: ((remedy: Remedy) => void) | null;
}

/** What is first to be said of a jar: what the mouth says, what mends it, or that it is right and what to do then. */
export function TasteFirst(props: TasteFirstProps) {
  const { working, jar, right, draft, remedy, finding, fitted, onPutIn } = props;
  const { said, nothing, figures } = draft;
  useShortcuts([
    {
      keys: ['r'],
      does: tasteWords.itIsRight,
      when: () => nothing && figures.fits,
      run: () => {
        draft.recordTasting(true);
      },
    },
  ]);
  const actions = (
    <span className="hidden gap-4 sm:flex">
      <Flat draft={draft} />
      <TasteActions draft={draft} />
    </span>
  );
  if (right && said.length === 0 && jar.batch)
    return (
      <FirstStrip tall tone="right" sentence={tasteWords.theBatchIsRight}>
        <ToBatch formulaId={working.id} batchId={jar.batch.batchId} next />
        {actions}
      </FirstStrip>
    );
  if (right && said.length === 0) return <Right {...props} />;
  if (said.length > 0)
    return (
      <FirstStrip
        tall
        tone="off"
        sentence={sayComplaints(said)}
        advice={remedy && partsWords.advice(sayDoses(remedy.doses), remedy.partial === true)}
      >
        {remedy && (
          <Button
            kind={nothing ? 'main' : 'plain'}
            data-next={nothing ? '' : undefined}
            className="min-h-16 px-5"
            disabled={onPutIn === null}
            onClick={() => {
              onPutIn?.(remedy);
            }}
          >
            {tasteWords.itIsIn}
          </Button>
        )}
        {actions}
      </FirstStrip>
    );
  const { before, style, after } = sayFinding(finding, fitted);
  return (
    <FirstStrip
      tall
      tone={finding.kind === 'unsafe' ? 'grave' : 'plain'}
      sentence={tasteWords.reckoned(`${before}${style === null ? '' : ` ${style}`}${after}`)}
    >
      {jar.batch && <ToBatch formulaId={working.id} batchId={jar.batch.batchId} />}
      {actions}
    </FirstStrip>
  );
}

function Right({ working, jar, kitchen }: TasteFirstProps) {
  const [keeping, setKeeping] = useState(false);
  return (
    <section aria-label={tasteWords.right} className="card min-h-24 border-l-4 border-l-leaf p-4">
      <KeepVersion
        working={working}
        jar={jar}
        kitchen={kitchen}
        open={keeping}
        onOpen={() => {
          setKeeping(true);
        }}
        onClose={() => {
          setKeeping(false);
        }}
      />
    </section>
  );
}

/** What is tasted for a batch is recorded there, not kept as a version. */
function ToBatch({
  formulaId,
  batchId,
  next = false,
}: {
  formulaId: string;
  batchId: string;
  next?: boolean;
}) {
  return (
    <Link
      to={`/formulas/${formulaId}/batch/${batchId}`}
      data-next={next ? '' : undefined}
      className="inline-flex min-h-16 items-center rounded-md border border-leaf px-5 font-semibold text-leaf"
    >
      {tasteWords.toTheBatch}
    </Link>
  );
}
