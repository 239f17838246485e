import { PHASES, type Addition } from '#core/formula';
import { composeWords } from '#words/screens/compose';
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
      label={composeWords.moreAboutName(name)}
      groups={[
        [
          {
            label: composeWords.ingredientFormAndNote2,
            onSelect: () => {
              actions.details(id);
            },
          },
          {
            label: composeWords.swapForSomethingElse,
            onSelect: () => {
              actions.swap(id);
            },
          },
          {
            label: optional ? composeWords.alwaysIn : composeWords.makeOptional,
            onSelect: () => {
              actions.patch(id, { optional: !optional });
            },
          },
          {
            label: locked ? composeWords.unlockTheAmount : composeWords.lockTheAmount,
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
            label: composeWords.takeOut,
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
