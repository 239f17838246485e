import {
  closestCenter,
  DndContext,
  KeyboardSensor,
  PointerSensor,
  useSensor,
  useSensors,
  type DragEndEvent,
  type UniqueIdentifier,
} from '@dnd-kit/core';
import {
  arrayMove,
  SortableContext,
  sortableKeyboardCoordinates,
  useSortable,
  verticalListSortingStrategy,
} from '@dnd-kit/sortable';
import { useMemo } from 'react';
import { stagesOf, type AdditionId, type Formula, type Phase } from '#core/formula';
import type { Reckoning } from '#core/reckoning';
import type { Settings } from '#contract';
import { placesOf, type Place } from '#kitchen/edits';
import { composeWords } from '#words/screens/compose';
import { AdditionRow } from './AdditionRow';
import { PHASE_NAMES, type RowActions } from './rowActions';

interface AdditionListProps {
  readonly formula: Pick<Formula, 'stageNames'>;
  readonly reckoning: Reckoning;
  readonly settings: Settings;
  readonly spoons: Settings['spoons'];
  readonly actions: RowActions;
  readonly selection: ReadonlySet<AdditionId>;
  readonly onDrop: (id: AdditionId, order: readonly (AdditionId | Place)[]) => void;
}

/** Base, oil, finish: one list, so that a row can be carried from one into the other. */
export function AdditionList(props: AdditionListProps) {
  const { formula, reckoning, settings, spoons, actions, selection, onDrop } = props;
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: 4 } }),
    useSensor(KeyboardSensor, { coordinateGetter: sortableKeyboardCoordinates }),
  );
  const stages = stagesOf(formula);
  const headings = new Map(
    placesOf(formula).map((place) => [
      `${place.stage} ${place.phase}`,
      { ...place, empty: !reckoning.additions.some(({ addition }) => isAt(addition, place)) },
    ]),
  );
  const inOrder = [...headings]
    // A later stage shows what it has.
    .filter(([, { stage, empty }]) => stage === 0 || !empty)
    .flatMap(([heading, place]) => [
      heading,
      ...reckoning.additions.flatMap(({ addition }) => (isAt(addition, place) ? [addition.id] : [])),
    ])
    .join();
  // The same list while nothing is moved: every row listens to it.
  const order = useMemo(() => inOrder.split(','), [inOrder]);
  const onDragEnd = ({ active, over }: DragEndEvent): void => {
    if (!over || active.id === over.id) return;
    const from = order.indexOf(String(active.id));
    // Nothing stands above the first heading.
    const to = Math.max(1, order.indexOf(String(over.id)));
    onDrop(
      active.id as AdditionId,
      arrayMove(order, from, to).map((entry) => headings.get(entry) ?? (entry as AdditionId)),
    );
  };
  const placeOf = (id: UniqueIdentifier): number =>
    order.filter((entry) => rowOf.has(entry as AdditionId)).indexOf(String(id)) + 1;
  const rowOf = new Map(reckoning.additions.map((reckoned) => [reckoned.addition.id, reckoned]));
  return (
    <DndContext
      sensors={sensors}
      collisionDetection={closestCenter}
      onDragEnd={onDragEnd}
      accessibility={{
        screenReaderInstructions: { draggable: composeWords.howToMoveByKey },
        announcements: {
          onDragStart: ({ active }) => composeWords.takenUp(placeOf(active.id)),
          onDragOver: ({ over }) => (over ? composeWords.nowAt(placeOf(over.id)) : undefined),
          onDragEnd: ({ over }) => (over ? composeWords.putDownAt(placeOf(over.id)) : composeWords.putBack),
          onDragCancel: () => composeWords.putBack,
        },
      }}
    >
      <SortableContext items={order} strategy={verticalListSortingStrategy}>
        <ol aria-label={composeWords.additionsInOrder}>
          {order.map((entry) => {
            const reckoned = rowOf.get(entry as AdditionId);
            return reckoned ? (
              <AdditionRow
                key={entry}
                reckoned={reckoned}
                settings={settings}
                spoons={spoons}
                actions={actions}
                selected={selection.has(reckoned.addition.id)}
              />
            ) : (
              <PhaseHeading
                key={entry}
                id={entry}
                phase={headings.get(entry)!.phase}
                empty={headings.get(entry)!.empty}
                stage={stages.length > 1 ? stageOpenedAt(order, entry, stages) : null}
              />
            );
          })}
        </ol>
      </SortableContext>
    </DndContext>
  );
}

const isAt = (addition: Place, { stage, phase }: Place): boolean =>
  addition.stage === stage && addition.phase === phase;

/** The name of the stage, at the first of its headings. */
function stageOpenedAt(order: readonly string[], heading: string, stages: readonly string[]): string | null {
  const [stage] = heading.split(' ');
  const first = order.find((entry) => entry.startsWith(`${stage} `));
  return first === heading ? (stages[Number(stage)] ?? null) : null;
}

interface PhaseHeadingProps {
  readonly id: string;
  readonly phase: Phase;
  readonly empty: boolean;
  /** Opened with it; null: none is. */
  readonly stage: string | null;
}
function PhaseHeading({ id, phase, empty, stage }: PhaseHeadingProps) {
  const { setNodeRef, transform, transition } = useSortable({ id, disabled: { draggable: true } });
  return (
    <li
      ref={setNodeRef}
      style={transform ? { transform: `translateY(${transform.y}px)`, transition } : undefined}
      className={`flex items-center gap-3 pt-1.5 text-sm font-semibold ${empty ? 'text-quiet' : ''}`}
    >
      {stage !== null && (
        <span className="font-name rounded-md bg-mint px-2 py-0.5 text-base text-leaf" data-testid="stage">
          {stage}
        </span>
      )}
      {PHASE_NAMES[phase]}
      <span className="flex-1 border-t border-dashed border-rule" />
    </li>
  );
}
