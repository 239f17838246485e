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
import { PHASES, type AdditionId, type Phase } from '#core/formula';
import type { Reckoning } from '#core/reckoning';
import type { Settings } from '#contract';
import { composeWords } from '#words/screens/compose';
import { AdditionRow } from './AdditionRow';
import { PHASE_NAMES, type RowActions } from './rowActions';

interface AdditionListProps {
  readonly reckoning: Reckoning;
  readonly settings: Settings;
  readonly spoons: Settings['spoons'];
  readonly actions: RowActions;
  readonly selection: ReadonlySet<AdditionId>;
  readonly onDrop: (id: AdditionId, order: readonly (AdditionId | Phase)[]) => void;
}

/** Base, oil, finish: one list, so that a row can be carried from one into the other. */
export function AdditionList({ reckoning, settings, spoons, actions, selection, onDrop }: AdditionListProps) {
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: 4 } }),
    useSensor(KeyboardSensor, { coordinateGetter: sortableKeyboardCoordinates }),
  );
  const inOrder = PHASES.flatMap((phase) => [
    phase,
    ...reckoning.additions.flatMap(({ addition }) => (addition.phase === phase ? [addition.id] : [])),
  ]).join();
  // The same list while nothing is moved: every row listens to it.
  const order = useMemo(() => inOrder.split(',') as (AdditionId | Phase)[], [inOrder]);
  const onDragEnd = ({ active, over }: DragEndEvent): void => {
    if (!over || active.id === over.id) return;
    const from = order.indexOf(active.id as AdditionId);
    // Nothing stands above the first heading.
    const to = Math.max(1, order.indexOf(over.id as AdditionId));
    onDrop(active.id as AdditionId, arrayMove(order, from, to));
  };
  const placeOf = (id: UniqueIdentifier): number =>
    order.filter((entry) => rowOf.has(entry as AdditionId)).indexOf(id as AdditionId) + 1;
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
              <PhaseHeading key={entry} phase={entry as Phase} empty={!hasPhase(reckoning, entry as Phase)} />
            );
          })}
        </ol>
      </SortableContext>
    </DndContext>
  );
}

const hasPhase = (reckoning: Reckoning, phase: Phase): boolean =>
  reckoning.additions.some(({ addition }) => addition.phase === phase);

function PhaseHeading({ phase, empty }: { phase: Phase; empty: boolean }) {
  const { setNodeRef, transform, transition } = useSortable({ id: phase, disabled: { draggable: true } });
  return (
    <li
      ref={setNodeRef}
      style={transform ? { transform: `translateY(${transform.y}px)`, transition } : undefined}
      className={`flex items-center gap-3 pt-1.5 text-sm font-semibold ${empty ? 'text-quiet' : ''}`}
    >
      {PHASE_NAMES[phase]}
      <span className="flex-1 border-t border-dashed border-rule" />
    </li>
  );
}
