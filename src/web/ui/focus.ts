/**
 * Where the focus goes when what had it is gone. A button that was pressed may vanish or be switched off, a sheet may
 * close, a page may change: the focus then falls to nothing, and who works by keyboard or by ear is lost. It goes back to
 * what had it before, else to the heading of the nearest part that still stands, else to the page's own.
 */

/** What had the focus lately, newest last, with the parts it stood in. */
interface Had {
  readonly element: HTMLElement;
  readonly within: readonly HTMLElement[];
}
const had: Had[] = [];
const REMEMBERED = 8;
/** Within this a sheet that closes has given the focus back. */
const SHEET_MS = 80;
const PARTS = 'section, form, [role="region"], li, main';
const HEADINGS = 'h1, h2, h3';

function partsAround(element: HTMLElement): readonly HTMLElement[] {
  const parts: HTMLElement[] = [];
  for (let at = element.parentElement; at; at = at.parentElement) if (at.matches(PARTS)) parts.push(at);
  return parts;
}

const isThere = (element: HTMLElement): boolean =>
  element.isConnected && !element.matches(':disabled') && element.getClientRects().length > 0;
/** Menus and sheets close behind what was chosen in them: nothing in them is gone back to. */
const passes = (element: HTMLElement): boolean =>
  element.closest('[role="menu"], [role="dialog"], [role="listbox"]') !== null;

/** A heading is no control, but it can be gone to: what follows is read from there. */
export function focusHeading(heading: HTMLElement | null): boolean {
  if (!heading) return false;
  if (!heading.hasAttribute('tabindex')) heading.tabIndex = -1;
  heading.focus({ preventScroll: true });
  return document.activeElement === heading;
}

export const pageHeading = (): HTMLElement | null =>
  document.querySelector<HTMLElement>('#main h1') ?? document.querySelector<HTMLElement>('#main h2');

/** @param opener what opened the sheet that closes */
export function restoreFocus(opener: Element | null = null): void {
  if (opener instanceof HTMLElement && opener !== document.body && isThere(opener) && !passes(opener)) {
    opener.focus({ preventScroll: true });
    return;
  }
  // Nothing had it, on purpose: a field that had it before would swallow the next key.
  if (opener === document.body) {
    focusHeading(pageHeading());
    return;
  }
  for (const { element, within } of [...had].reverse()) {
    if (passes(element)) continue;
    if (isThere(element)) {
      element.focus({ preventScroll: true });
      return;
    }
    for (const part of within)
      if (part.isConnected && focusHeading(part.querySelector<HTMLElement>(HEADINGS))) return;
  }
  focusHeading(pageHeading());
}

/** A control that is switched off may keep it by name, and hears no key. */
function isLost(): boolean {
  const active = document.activeElement;
  return active === null || active === document.body || active.matches(':disabled');
}

/** Watches over the focus of the whole page. @returns how to stop */
export function keepFocus(): () => void {
  const onIn = ({ target }: FocusEvent): void => {
    if (!(target instanceof HTMLElement) || target === document.body) return;
    had.push({ element: target, within: partsAround(target) });
    if (had.length > REMEMBERED) had.shift();
  };
  let asked = false;
  const look = (waited = false): void => {
    asked = false;
    const last = had.at(-1);
    // A click beside everything takes the focus away on purpose; only what is gone loses it.
    if (!last || !isLost() || isThere(last.element) || document.querySelector('[role="dialog"]')) return;
    // A sheet gives it back itself, and knows better where to.
    if (passes(last.element) && !waited) {
      setTimeout(look, SHEET_MS, true);
      return;
    }
    restoreFocus();
  };
  const later = (): void => {
    if (asked) return;
    asked = true;
    // What replaces it may be drawn in the same turn.
    requestAnimationFrame(() =>
      requestAnimationFrame(() => {
        look();
      }),
    );
  };
  const observer = new MutationObserver(later);
  observer.observe(document.body, {
    childList: true,
    subtree: true,
    attributes: true,
    attributeFilter: ['disabled'],
  });
  document.addEventListener('focusin', onIn);
  return () => {
    observer.disconnect();
    document.removeEventListener('focusin', onIn);
  };
}
