import { useMemo, useState, type SyntheticEvent } from 'react';
import { Link } from 'react-router';
import type { Settings } from '#contract';
import { MOST_STAGE_NAME, stagesOf, upToStage, type Formula, type ReadingContext } from '#core/formula';
import { reckonFormula } from '#core/reckoning';
import type { Vessel } from '#core/vessel';
import { closeStage, openStage, renameStage, stageNameProblem } from '#kitchen/edits';
import { formatAmount, formatRatio } from '#words/numbers';
import { composeWords } from '#words/screens/compose';
import { Button } from '../../ui/Button';
import { Field } from '../../ui/Field';

interface StairProps {
  readonly whole: Formula;
  readonly vessel: Vessel;
  readonly context: ReadingContext;
  readonly settings: Settings;
  /** The stage that is looked at. */
  readonly at: number;
  readonly onAt: (stage: number) => void;
  readonly onEdit: (next: Formula) => void;
}

const STEP_PX = 10;

/** The stages as steps of a stair: each a place to stop, looked at by itself. */
export function Stair(props: StairProps) {
  const { whole, vessel, context, settings, at, onAt, onEdit } = props;
  const [asks, setAsks] = useState<'new' | 'rename' | null>(null);
  const stages = useMemo(
    () =>
      stagesOf(whole).map((name, stage) => {
        const { totals } = reckonFormula(upToStage(whole, stage), vessel, context);
        const ratio = totals.measures.oilToAcidVolumeRatio;
        return {
          name,
          volume: formatAmount(totals.mixedVolumeMl, 'ml', settings),
          ratio: ratio ? formatRatio(ratio, settings) : '',
        };
      }),
    [whole, vessel, context, settings],
  );
  const close = (): void => {
    setAsks(null);
  };
  const one = stages.length < 2;
  return (
    <nav aria-label={composeWords.stages} className="mb-1 print:hidden" data-testid="stair">
      <div className="flex flex-wrap items-end gap-x-1 gap-y-2">
        {!one &&
          stages.map(({ name, volume, ratio }, stage) => (
            <button
              key={name}
              type="button"
              aria-current={stage === at ? 'step' : undefined}
              className={`min-w-24 rounded-t-md border border-b-4 px-3 text-left leading-tight hover:bg-mint ${stage === at ? 'border-leaf bg-mint' : stage < at ? 'border-edge bg-paper' : 'border-rule text-quiet'}`}
              style={{ paddingTop: 4 + stage * STEP_PX, paddingBottom: 4 }}
              onClick={() => {
                onAt(stage);
              }}
            >
              <span className="block max-w-48 truncate font-semibold">{name}</span>
              <span className="block text-[0.8125rem] whitespace-nowrap">
                {[volume, ratio].filter(Boolean).join(' · ')}
              </span>
            </button>
          ))}
        {asks === null && whole.additions.length > 0 && (
          <Button
            kind="quiet"
            className="px-2 text-sm"
            onClick={() => {
              setAsks('new');
            }}
          >
            {one ? composeWords.firstStop : composeWords.nextStage}
          </Button>
        )}
        {asks === null && !one && (
          <>
            <Button
              kind="quiet"
              className="px-2 text-sm"
              onClick={() => {
                setAsks('rename');
              }}
            >
              {composeWords.renameStage}
            </Button>
            {at < stages.length - 1 && (
              <Link
                to={`../make?stage=${at}`}
                relative="path"
                className="inline-flex min-h-8 items-center px-2 text-sm font-semibold underline-offset-2 hover:underline"
              >
                {composeWords.makeToHere}
              </Link>
            )}
            <Button
              kind="quiet"
              className="px-2 text-sm"
              onClick={() => {
                onEdit(closeStage(whole, at));
              }}
            >
              {composeWords.closeStage}
            </Button>
          </>
        )}
      </div>
      {asks && (
        <StageName
          key={asks}
          start={asks === 'rename' ? stages[at]!.name : '+ '}
          problemOf={(name) => stageNameProblem(whole, name, asks === 'rename' ? at : undefined)}
          onName={(name) => {
            if (asks === 'rename') onEdit(renameStage(whole, at, name));
            else {
              onEdit(openStage(whole, name));
              onAt(Infinity);
            }
            close();
          }}
          onClose={close}
        />
      )}
      {!one && at < stages.length - 1 && (
        <p className="mt-1 text-sm text-quiet" role="status">
          {composeWords.stoppedAt(stages[at]!.name)}
        </p>
      )}
    </nav>
  );
}

interface StageNameProps {
  readonly start: string;
  readonly problemOf: (name: string) => string | null;
  readonly onName: (name: string) => void;
  readonly onClose: () => void;
}
function StageName({ start, problemOf, onName, onClose }: StageNameProps) {
  const [name, setName] = useState(start);
  const [shown, setShown] = useState(false);
  // "+" alone is the beginning of a name.
  const problem = problemOf(name.replace(/^\+\s*$/, ''));
  const take = (event: SyntheticEvent): void => {
    event.preventDefault();
    if (problem) setShown(true);
    else onName(name);
  };
  return (
    <form className="mt-2 flex flex-wrap items-start gap-3" onSubmit={take}>
      <Field
        label={composeWords.stageName}
        className="min-w-48 flex-1"
        autoFocus
        maxLength={MOST_STAGE_NAME}
        value={name}
        onText={setName}
        hint={composeWords.stageExample}
        problem={shown ? problem : null}
        onKeyDown={({ key }) => {
          if (key === 'Escape') onClose();
        }}
      />
      <Button kind="main" type="submit" className="mt-6 min-h-9">
        {composeWords.keep}
      </Button>
      <Button className="mt-6 min-h-9" onClick={onClose}>
        {composeWords.leaveAsItWas}
      </Button>
    </form>
  );
}
