import { Suspense, useEffect, useRef, useState } from 'react';
import { useLocation, useNavigate } from 'react-router';
import { frameWords } from '#words/screens/frame';
import { focusHeading, keepFocus, pageHeading } from '../ui/focus';
import { nextThing } from '../ui/nextThing';
import { chooseKeys, shortcutsNow, useShortcuts, type Shortcut } from '../ui/shortcuts';
import { useHere } from '../data/here';
import { stages } from './stages';
import { later } from '../ui/later';

const KeyHelp = later(async () => (await import('../ui/KeyHelp')).KeyHelp);

/** What a stage of a formula is called in the title, by the last part of its path. */
const stageOf = (pathname: string): string | null => {
  const stage = /^\/formulas\/[^/]+\/([a-z]+)/.exec(pathname)?.[1];
  return stage ? (frameWords.stageTitles[stage] ?? null) : null;
};

/** Each page has its own title, its heading takes the focus when it is entered, and ? lists its keys. */
export function WholePage({ onFind }: { onFind: () => void }) {
  const { pathname } = useLocation();
  const entered = useRef(pathname);
  const [listed, setListed] = useState<readonly Shortcut[] | null>(null);
  const here = useHere();
  useEffect(() => {
    chooseKeys(here);
  }, [here]);
  useEffect(() => keepFocus(), []);
  useEffect(() => {
    let toFocus = entered.current !== pathname;
    entered.current = pathname;
    const look = (): void => {
      const heading = pageHeading();
      const name = heading?.textContent.trim().replace(/\s+/g, ' ');
      document.title = [stageOf(pathname), name, frameWords.ygrana].filter(Boolean).join(' · ');
      if (!toFocus || !heading) return;
      toFocus = false;
      // A sheet that was opened meanwhile keeps it, and gives it back to the page.
      if (document.querySelector('[role="dialog"]')) return;
      // A field that asks for the focus itself keeps it.
      const main = document.getElementById('main');
      if (!main?.contains(document.activeElement)) focusHeading(heading);
    };
    look();
    const observer = new MutationObserver(look);
    const main = document.getElementById('main');
    if (main) observer.observe(main, { childList: true, subtree: true, characterData: true });
    return () => {
      observer.disconnect();
    };
  }, [pathname]);
  const navigate = useNavigate();
  const formula = /^\/formulas\/[^/]+/.exec(pathname)?.[0];
  useShortcuts([
    ...(formula
      ? stages().map(({ path, label }, place): Shortcut => ({
          keys: [`alt+${place + 1}`],
          inFields: true,
          does: frameWords.toStage(label),
          run: () => void navigate(`${formula}/${path}`),
        }))
      : []),
    {
      keys: ['PageDown'],
      always: ['PageDown'],
      byFoot: true,
      inSheets: true,
      when: () => nextThing() !== null,
      does: frameWords.theNextThing,
      run: () => nextThing()?.click(),
    },
    {
      keys: ['mod+k'],
      inFields: true,
      does: frameWords.findAnythingKey,
      run: onFind,
    },
    {
      keys: ['?'],
      does: frameWords.showTheseKeys,
      run: () => {
        setListed(shortcutsNow());
      },
    },
  ]);
  return listed ? (
    <Suspense fallback={null}>
      <KeyHelp
        open
        onClose={() => {
          setListed(null);
        }}
        groups={[{ title: frameWords.onThisPage, shortcuts: listed }]}
      />
    </Suspense>
  ) : null;
}
