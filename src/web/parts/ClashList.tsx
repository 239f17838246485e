import type { Clash } from '#core/document';
import { clashWords, sayClash } from '#words/clash';
import { readKey, type WorkKey } from '../sync/shared';
import { useAppDispatch, useAppSelector } from '../sync/store';
import { clashSettled } from '../sync/workSlice';
import { Button } from '../ui/Button';
import { useShortcuts, type Shortcut } from '../ui/shortcuts';

interface OpenClash {
  readonly key: WorkKey;
  readonly clash: Clash;
}
const NONE: readonly Clash[] = [];

/** What was changed on two screens at once: both values, and the cook's choice, one by one or all together. */
export function ClashList({ open, byKey = false }: { open: readonly OpenClash[]; byKey?: boolean }) {
  const dispatch = useAppDispatch();
  const docs = useAppSelector((state) => state.work.byKey);
  const settle = ({ key, clash }: OpenClash, keep: 'mine' | 'theirs'): void =>
    void dispatch(clashSettled({ key, clash, keep }));
  const settleFirst = (keep: 'mine' | 'theirs') => (): void => {
    if (open[0]) settle(open[0], keep);
  };
  const keys: readonly Shortcut[] = [
    { keys: ['k'], does: clashWords.keepsMine, run: settleFirst('mine') },
    { keys: ['t'], does: clashWords.takesTheirs, run: settleFirst('theirs') },
  ];
  useShortcuts(byKey && open.length > 0 ? keys : []);
  if (open.length === 0) return null;
  return (
    <div className="grid gap-2">
      <ul className="grid gap-2">
        {open.map((one) => {
          const { kind, id } = readKey(one.key);
          const said = sayClash(kind, docs[one.key]?.doc, one.clash, kind === 'pantry' ? id : undefined);
          const isRefused = said.why !== null;
          return (
            <li
              key={`${one.key} ${one.clash.path.join(' ')} ${said.mine}`}
              className="flex flex-wrap items-center gap-x-3 gap-y-1.5"
              data-testid="clash"
            >
              <span className="min-w-0 [overflow-wrap:anywhere]">
                {said.what}
                {isRefused && <span className="block text-sm text-acid-ink">{said.why}</span>}
              </span>
              <Button
                kind="main"
                onClick={() => {
                  settle(one, 'mine');
                }}
              >
                {isRefused ? clashWords.sendAgain(said.mine) : clashWords.keepMine(said.mine)}
              </Button>
              <Button
                onClick={() => {
                  settle(one, 'theirs');
                }}
              >
                {isRefused ? clashWords.letGo : clashWords.takeTheirs(said.theirs)}
              </Button>
            </li>
          );
        })}
      </ul>
      {open.length > 2 && (
        <div className="flex flex-wrap gap-3">
          {(['mine', 'theirs'] as const).map((keep) => (
            <Button
              key={keep}
              onClick={() => {
                for (const one of open) settle(one, keep);
              }}
            >
              {keep === 'mine' ? clashWords.allMine : clashWords.allTheirs}
            </Button>
          ))}
        </div>
      )}
      {byKey && <p className="text-sm text-quiet max-sm:hidden">{clashWords.keys}</p>}
    </div>
  );
}

/** The open questions of the thing on this page; nothing where there are none. */
export function ClashNotice({ workKey }: { workKey: WorkKey }) {
  const clashes = useAppSelector((state) => state.work.byKey[workKey]?.clashes ?? NONE);
  if (clashes.length === 0) return null;
  return (
    <div role="alert" className="card mb-3 border-l-4 border-l-acid p-3">
      <p className="mb-2 font-semibold">
        {clashes.every(({ why }) => why !== undefined) ? clashWords.notTaken : clashWords.whichStays}
      </p>
      <ClashList open={clashes.map((clash) => ({ key: workKey, clash }))} byKey />
    </div>
  );
}
