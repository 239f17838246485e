/** The browser's Back closes the sheet that lies on top, and leaves the page where it is. */
import { useEffect, useRef } from 'react';

const open: string[] = [];
let count = 0;

const topOfHistory = (): unknown =>
  typeof window.history.state === 'object' && window.history.state !== null
    ? (window.history.state as { readonly sheet?: unknown }).sheet
    : undefined;

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
    window.history.pushState({ ...(window.history.state as object | null), sheet }, '');
    const onPop = (): void => {
      if (open.at(-1) === sheet && topOfHistory() !== sheet) close.current();
    };
    window.addEventListener('popstate', onPop);
    return () => {
      window.removeEventListener('popstate', onPop);
      open.splice(open.indexOf(sheet), 1);
      // Closed otherwise: its entry goes, unless a page was gone to meanwhile.
      setTimeout(() => {
        if (topOfHistory() === sheet) window.history.back();
      });
    };
  }, [isOpen]);
}
