import { sayLabelSize } from '#words/labels';
import { tongueNow } from '#words/tongue';
import { useState } from 'react';
import type { BatchRecord } from '#contract';
import { MOST_LABELS } from '#contract';
import { LABEL_SIZES } from '#core/paper';
import { batchRunWords } from '#words/screens/batchRun';
import { Alert } from '../../ui/Alert';
import { Button } from '../../ui/Button';
import { Choice } from '../../ui/Choice';
import { Field } from '../../ui/Field';
import { usePaper } from '../../data/usePaper';

/** Sheet, labels and pull list as PDF: at the batch, or before it. */
export function Papers({ batch }: { batch: BatchRecord }) {
  const paper = usePaper();
  const [size, setSize] = useState(LABEL_SIZES[0]!.id);
  const [copiesText, setCopies] = useState(String(batch.plan.storage?.count ?? 1));
  const [skipText, setSkip] = useState('0');
  const [copies, skip] = [Number(copiesText), Number(skipText)];
  const copiesFit = Number.isInteger(copies) && copies >= 1 && copies <= MOST_LABELS;
  const skipFits = Number.isInteger(skip) && skip >= 0 && skip <= 60;
  const onSheet = LABEL_SIZES.find(({ id }) => id === size)?.sheet !== null;
  return (
    <section
      aria-label={batchRunWords.paper}
      className="card grid grid-cols-[minmax(0,1fr)] content-start gap-3 p-4 print:hidden"
    >
      <h2 className="font-name text-lg font-bold">{batchRunWords.paper}</h2>
      <div className="flex flex-wrap gap-2">
        <Button
          disabled={paper.busy}
          onClick={() => void paper.printHeld(`batches/${batch.id}/sheet`, `batch-${batch.number}.pdf`)}
        >
          {batchRunWords.batchSheet}
        </Button>
        <Button
          disabled={paper.busy}
          onClick={() => void paper.printHeld(`batches/${batch.id}/pull-list`, `pull-${batch.number}.pdf`)}
        >
          {batchRunWords.pullList}
        </Button>
      </div>
      <form
        className="grid gap-3 border-t border-rule pt-3"
        onSubmit={(event) => {
          event.preventDefault();
          void paper.printHeld(`batches/${batch.id}/labels`, `labels-${batch.number}.pdf`, {
            size,
            copies: String(copies),
            skip: String(onSheet ? skip : 0),
            tongue: tongueNow(),
          });
        }}
      >
        <div className="grid gap-1 font-semibold">
          {batchRunWords.labels}
          <Choice
            label={batchRunWords.labelSize}
            value={size}
            options={LABEL_SIZES.map((one) => ({ value: one.id, label: sayLabelSize(one) }))}
            onChange={setSize}
            className="font-normal"
          />
        </div>
        <div className="grid grid-cols-2 gap-3">
          <Field
            label={batchRunWords.howMany}
            inputMode="numeric"
            value={copiesText}
            onText={setCopies}
            problem={copiesFit ? null : batchRunWords.n1ToMostlabels(MOST_LABELS)}
          />
          {onSheet && (
            <Field
              label={batchRunWords.usedUpOnTheSheet}
              inputMode="numeric"
              value={skipText}
              onText={setSkip}
              problem={skipFits ? null : batchRunWords.n0To60}
            />
          )}
        </div>
        <Button type="submit" disabled={!copiesFit || (onSheet && !skipFits) || paper.busy}>
          {batchRunWords.printForm(
            copiesFit && copies > 1 ? batchRunWords.copiesLabels(copies) : batchRunWords.theLabel,
          )}
        </Button>
      </form>
      {paper.error && <Alert>{paper.error}</Alert>}
    </section>
  );
}
