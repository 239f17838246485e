import { tongueNow } from '#words/tongue';
import { useState } from 'react';
import type { Shelf, ShelfRecord } from '#contract';
import type { FormulaId } from '#core/formula';
import { LABEL_SIZES } from '#core/paper';
import { sayLabelSize } from '#words/labels';
import { chosenWords } from '#words/screens/chosen';
import { shelfWords } from '#words/screens/shelf';
import { usePaper } from '../../data/usePaper';
import { Alert } from '../../ui/Alert';
import { Button } from '../../ui/Button';
import { Choice } from '../../ui/Choice';

export type Chosen = ReadonlyMap<FormulaId, ShelfRecord>;

interface ChosenBarProps {
  readonly chosen: Chosen;
  /** What stands in the window. */
  readonly shown: readonly ShelfRecord[];
  readonly place: Shelf;
  /** Null: no more choosing. */
  readonly onChosen: (chosen: Chosen | null) => void;
  readonly onMove: (records: readonly ShelfRecord[], to: Shelf) => void;
}

/** What can be done with several jars at once: put away, labelled, taken along. */
export function ChosenBar({ chosen, shown, place, onChosen, onMove }: ChosenBarProps) {
  const paper = usePaper();
  const [size, setSize] = useState(LABEL_SIZES[0]!.id);
  const none = chosen.size === 0;
  const ids = [...chosen.keys()].join(',');
  return (
    <section
      aria-label={chosenWords.chosenJars}
      className="card sticky top-0 z-20 mt-2 flex flex-wrap items-center gap-x-4 gap-y-2 px-3 py-2"
      data-testid="chosen-bar"
    >
      <p role="status" className="font-semibold">
        {none ? chosenWords.pressTheJars : chosenWords.countChosen(chosen.size)}
      </p>
      <Button
        onClick={() => {
          onChosen(new Map(shown.map((record) => [record.id, record])));
        }}
      >
        {chosenWords.chooseAllSeen}
      </Button>
      <Button
        disabled={none}
        onClick={() => {
          onMove([...chosen.values()], place === 'shelf' ? 'archive' : 'shelf');
          onChosen(null);
        }}
      >
        {place === 'shelf' ? chosenWords.archiveThem : shelfWords.backOnTheShelf}
      </Button>
      <span className="flex flex-wrap items-center gap-2">
        <Button
          disabled={none || paper.busy}
          onClick={() =>
            void paper.printHeld('labels', 'labels.pdf', {
              formulas: ids,
              size,
              tongue: tongueNow(),
            })
          }
        >
          {chosenWords.labelsOfThem}
        </Button>
        <Choice
          label={chosenWords.labelSize}
          value={size}
          options={LABEL_SIZES.map((one) => ({ value: one.id, label: sayLabelSize(one) }))}
          onChange={setSize}
        />
      </span>
      {none ? (
        <Button disabled>{chosenWords.exportThem}</Button>
      ) : (
        <a
          href={`/api/document?${new URLSearchParams({ formulas: ids }).toString()}`}
          download="ygrana.json"
          className="inline-flex min-h-8 items-center rounded-md border border-edge bg-paper px-3 font-semibold hover:border-leaf hover:bg-mint"
        >
          {chosenWords.exportThem}
        </a>
      )}
      <Button
        kind="main"
        className="ml-auto"
        onClick={() => {
          onChosen(null);
        }}
      >
        {chosenWords.doneChoosing}
      </Button>
      {paper.error && <Alert>{paper.error}</Alert>}
    </section>
  );
}
