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
}

const TICKED: ReadonlySet<string> = new Set(['radio', 'checkbox']);
/** Keys that a radio button or a tick box needs for itself. */
const TICKING = /^(?: |Arrow)/;

/** Whether what has the focus wants this key for itself. */
function takesKey(target: EventTarget | null, key: string): boolean {
  if (!(target instanceof HTMLElement)) return false;
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

export function useShortcuts(shortcuts: readonly Shortcut[]): void {
  const current = useRef(shortcuts);
  useEffect(() => {
    current.current = shortcuts;
  });
  useEffect(() => {
    const onKey = (event: KeyboardEvent): void => {
      if (event.defaultPrevented || document.querySelector('[role="dialog"]')) return;
      const name = nameOf(event);
      const found = current.current.find(({ keys }) => keys.includes(name));
      if (!found || (takesKey(event.target, event.key) && !found.inFields)) return;
      event.preventDefault();
      found.run();
    };
    window.addEventListener('keydown', onKey);
    return () => {
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
