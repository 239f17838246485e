/**
 * The browser's Back closes the sheet that lies on top, and leaves the page where it is. A sheet puts an entry of its own
 * over the page's; closed otherwise its entry stays, since going back over it would break off a page that is just being
 * entered, and is passed over when it is come back to.
 */
import { useEffect, useRef } from 'react';

const open: string[] = [];
let count = 0;
/** The sheet whose entry was gone to last; undefined: a page's own. */
let at: unknown;

interface Entry {
  readonly sheet?: unknown;
  /** The router's count: a sheet's entry has that of its page. */
  readonly idx?: unknown;
}
const entryNow = (): Entry => (window.history.state as Entry | null) ?? {};

if (typeof window !== 'undefined')
  window.addEventListener('popstate', () => {
    const left = at;
    const { sheet, idx } = entryNow();
    at = sheet;
    if (typeof left !== 'string' || open.includes(left) || sheet === left) return;
    // From the entry of a sheet that is long closed to its page, which looks the same: on to what is before it.
    if (idx === idxOf.get(left)) window.history.back();
  });
const idxOf = new Map<string, unknown>();

export function useBackCloses(isOpen: boolean, onClose: () => void): void {
  const close = useRef(onClose);
  useEffect(() => {
    close.current = onClose;
  });
  useEffect(() => {
    if (!isOpen) return undefined;
    count += 1;
    const sheet = `sheet-${count}`;
    open.push(sheet);
    // The router's own state is kept: to it this is the same page.
    const state = entryNow();
    idxOf.set(sheet, state.idx);
    window.history.pushState({ ...state, sheet }, '');
    at = sheet;
    const onPop = (): void => {
      if (open.at(-1) === sheet && entryNow().sheet !== sheet) close.current();
    };
    window.addEventListener('popstate', onPop);
    return () => {
      window.removeEventListener('popstate', onPop);
      open.splice(open.indexOf(sheet), 1);
    };
  }, [isOpen]);
}
