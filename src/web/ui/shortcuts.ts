/** Keys that work wherever no text is being typed. Each screen says which it has; `?` lists them. */
import { frameWords } from '#words/screens/frame';
import { useEffect, useRef } from 'react';

export interface Shortcut {
  /** As `KeyboardEvent.key`, with "mod+" for Ctrl or Command and "shift+" before it. */
  readonly keys: readonly string[];
  readonly does: string;
  readonly run: () => void;
  /** Also while a text field has the focus. */
  readonly inFields?: boolean;
  /** Keys that do it wherever the focus is: a foot switch is pressed without looking. */
  readonly always?: readonly string[];
  /** The key that was taught as the foot switch does it, too. */
  readonly byFoot?: boolean;
  /** Also while a sheet lies over the page. */
  readonly inSheets?: boolean;
  /** Where it says no, the key stays the browser's: Page Down scrolls a page that has no next thing. */
  readonly when?: () => boolean;
}

/** What this device chose about keys. */
interface KeyChoice {
  /** Single letters and signs do something outside fields. */
  readonly singleKeys: boolean;
  /** As `KeyboardEvent.key`; null: none was taught. */
  readonly footKey: string | null;
}
let choice: KeyChoice = { singleKeys: true, footKey: null };
export function chooseKeys(next: KeyChoice): void {
  choice = next;
}

const TICKED: ReadonlySet<string> = new Set(['radio', 'checkbox']);
/** Keys that a radio button or a tick box needs for itself. */
const TICKING = /^(?: |Arrow)/;

/** Enter and Space press these themselves. */
const PRESSED =
  'button, a[href], summary, [role="button"], [role="tab"], [role="menuitem"], [role="combobox"], [role="option"], [role="slider"]';

/** Whether what has the focus wants this key for itself. */
function takesKey(target: EventTarget | null, key: string): boolean {
  if (!(target instanceof HTMLElement)) return false;
  if ((key === 'Enter' || key === ' ') && target.closest(PRESSED)) return true;
  if (target instanceof HTMLInputElement && TICKED.has(target.type)) return TICKING.test(key);
  return target.isContentEditable || /^(?:INPUT|TEXTAREA|SELECT)$/.test(target.tagName);
}

function nameOf(event: KeyboardEvent): string {
  const mod = event.ctrlKey || event.metaKey ? 'mod+' : '';
  const key = event.key.length === 1 ? event.key.toLowerCase() : event.key;
  // A shifted sign ("?", "+") is its own key; only with mod or for named keys does shift count.
  const shift = event.shiftKey && (mod || event.key.length > 1) ? 'shift+' : '';
  return `${event.altKey ? 'alt+' : ''}${mod}${shift}${key}`;
}

/** One letter, digit or sign alone; Space is a key of its own. */
const isSingle = (name: string): boolean => name.length === 1 && name !== ' ';

/** What the screens that are open can do by key, outermost first. */
const registered = new Set<{ readonly current: readonly Shortcut[] }>();
export const shortcutsNow = (): readonly Shortcut[] => [...registered].flatMap(({ current }) => current);

export function useShortcuts(shortcuts: readonly Shortcut[]): void {
  const current = useRef(shortcuts);
  useEffect(() => {
    current.current = shortcuts;
  });
  useEffect(() => {
    const onKey = (event: KeyboardEvent): void => {
      if (event.defaultPrevented) return;
      const underSheet = document.querySelector('[role="dialog"]') !== null;
      const name = nameOf(event);
      const foot = current.current.find(
        ({ always, byFoot }) =>
          always?.includes(name) === true || (byFoot === true && name === choice.footKey),
      );
      const found = foot ?? current.current.find(({ keys }) => keys.includes(name));
      if (!found || (!foot && takesKey(event.target, event.key) && !found.inFields)) return;
      if (!foot && !choice.singleKeys && isSingle(name)) return;
      if ((underSheet && !found.inSheets) || found.when?.() === false) return;
      event.preventDefault();
      // A foot that rests on the switch is one press.
      if (foot && event.repeat) return;
      found.run();
    };
    registered.add(current);
    window.addEventListener('keydown', onKey);
    return () => {
      registered.delete(current);
      window.removeEventListener('keydown', onKey);
    };
  }, []);
}

const KEY_NAMES: Readonly<Record<string, string>> = {
  mod: frameWords.ctrl,
  alt: 'Alt',
  shift: 'Shift',
  ArrowUp: '↑',
  ArrowDown: '↓',
};

export const sayKeys = (keys: string): string =>
  keys === '+'
    ? '+'
    : keys
        .split('+')
        .map((part) => KEY_NAMES[part] ?? (part.length === 1 ? part.toUpperCase() : part))
        .join(' + ');
