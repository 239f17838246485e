import { frameLaterWords } from '#words/screens/frameLater';
import { Dialog } from './Dialog';
import { sayKeys, type Shortcut } from './shortcuts';

interface KeyHelpProps {
  readonly open: boolean;
  readonly onClose: () => void;
  readonly groups: readonly {
    readonly title: string;
    readonly shortcuts: readonly Pick<Shortcut, 'keys' | 'does'>[];
  }[];
}

export function KeyHelp({ open, onClose, groups }: KeyHelpProps) {
  return (
    <Dialog title={frameLaterWords.keys} open={open} onClose={onClose}>
      {groups.map(({ title, shortcuts }) => (
        <section key={title} className="mb-4">
          <h3 className="mb-1 text-sm font-semibold text-quiet">{title}</h3>
          <dl className="grid grid-cols-[9.5rem_1fr] gap-y-1">
            {shortcuts.map(({ keys, does }) => (
              <div key={does} className="contents">
                <dt className="font-semibold">{keys.map(sayKeys).join(' or ')}</dt>
                <dd>{does}</dd>
              </div>
            ))}
          </dl>
        </section>
      ))}
    </Dialog>
  );
}
