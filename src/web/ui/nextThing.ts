/**
 * The one thing that comes next on a page, marked `data-next` where it stands: Page Down and the foot switch press it,
 * wherever the focus is. A sheet over the page has its own.
 */

const isPressable = (element: HTMLElement): boolean =>
  !element.matches(':disabled') && element.getClientRects().length > 0;

/** @returns null where the page has none, or it cannot be pressed yet */
export function nextThing(): HTMLElement | null {
  const sheet = [...document.querySelectorAll('[role="dialog"]')].at(-1);
  const marked = [...(sheet ?? document).querySelectorAll<HTMLElement>('[data-next]')];
  return marked.find(isPressable) ?? null;
}
