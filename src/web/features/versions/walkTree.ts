import type { KeyboardEvent } from 'react';

/**
 * Up and down, first and last; left to what it hangs from; Enter and right do what the item is for, B brings
 * it back. A key that is pressed on a button of an item is the button's.
 */
export function walkTree(event: KeyboardEvent, tree: HTMLElement | null): void {
  const items = [...(tree?.querySelectorAll<HTMLElement>('[role=treeitem]') ?? [])];
  const at = items.findIndex((item) => item.contains(document.activeElement));
  const item = items[at];
  if (!item || event.metaKey || event.ctrlKey || event.altKey) return;
  const onItem = document.activeElement === item;
  const levelOf = (one: HTMLElement): number => Number(one.getAttribute('aria-level'));
  const parent = items.slice(0, at).findLast((one) => levelOf(one) < levelOf(item));
  const to = {
    ArrowDown: items[at + 1],
    ArrowUp: items[at - 1],
    ArrowLeft: parent,
    Home: items[0],
    End: items.at(-1),
  }[event.key];
  const press = (name: string): void => {
    event.preventDefault();
    item.querySelector<HTMLElement>(`[${name}]`)?.click();
  };
  if (to) {
    event.preventDefault();
    to.focus();
  } else if (onItem && (event.key === 'Enter' || event.key === 'ArrowRight')) press('data-goes');
  else if (onItem && event.key.toLowerCase() === 'b') press('data-brings');
}
