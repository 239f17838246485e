import { PHASES, type Addition } from '#core/formula';
import { Menu } from '../../ui/Menu';
import { PHASE_SHORT, type RowActions } from './rowActions';

/** Everything else that can be done with one addition. */
export function RowMenu({
  addition,
  name,
  actions,
}: {
  addition: Addition;
  name: string;
  actions: RowActions;
}) {
  const { id, optional, locked, phase } = addition;
  return (
    <Menu
      label={`More about ${name}`}
      groups={[
        [
          {
            label: 'Ingredient, form and note…',
            onSelect: () => {
              actions.details(id);
            },
          },
          {
            label: 'Swap for something else…',
            onSelect: () => {
              actions.swap(id);
            },
          },
          {
            label: optional ? 'Always in' : 'Make optional',
            onSelect: () => {
              actions.patch(id, { optional: !optional });
            },
          },
          {
            label: locked ? 'Unlock the amount' : 'Lock the amount',
            onSelect: () => {
              actions.patch(id, { locked: !locked });
            },
          },
          ...PHASES.filter((other) => other !== phase).map((other) => ({
            label: PHASE_SHORT[other],
            onSelect: () => {
              actions.toPhase(id, other);
            },
          })),
        ],
        [
          {
            label: 'Take out',
            grave: true,
            onSelect: () => {
              actions.remove(id);
            },
          },
        ],
      ]}
    />
  );
}
