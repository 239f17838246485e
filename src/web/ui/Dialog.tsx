import { Dialog as Radix } from 'radix-ui';
import { X } from 'lucide-react';
import { useRef, type ReactNode } from 'react';
import { frameLaterWords } from '#words/screens/frameLater';
import { useBackCloses } from './backCloses';
import { IconButton } from './Button';
import { restoreFocus } from './focus';

interface DialogProps {
  readonly title: string;
  readonly open: boolean;
  readonly onClose: () => void;
  readonly children: ReactNode;
  /** For what is compared side by side. */
  readonly wide?: boolean;
}

/** A sheet over the page; Escape closes it and the focus goes back. */
export function Dialog({ title, open, onClose, children, wide = false }: DialogProps) {
  const opener = useRef<Element | null>(null);
  useBackCloses(open, onClose);
  return (
    <Radix.Root
      open={open}
      onOpenChange={(next) => {
        if (!next) onClose();
      }}
    >
      <Radix.Portal>
        <Radix.Overlay className="fixed inset-0 z-40 bg-shade/50" />
        <Radix.Content
          aria-describedby={undefined}
          onOpenAutoFocus={() => {
            opener.current = document.activeElement;
          }}
          onCloseAutoFocus={(event) => {
            // No button of ours is a trigger in the library's sense: it would give the focus to nothing.
            event.preventDefault();
            // A key may have gone on to something else already while the sheet went away.
            const active = document.activeElement;
            const wentOn =
              active !== null &&
              active !== document.body &&
              !(event.target instanceof Node && event.target.contains(active));
            if (!wentOn) restoreFocus(opener.current);
          }}
          className={`card fixed top-1/2 left-1/2 z-50 max-h-[90vh] ${wide ? 'w-[min(820px,94vw)]' : 'w-[min(680px,94vw)]'} -translate-x-1/2 -translate-y-1/2 overflow-auto p-5 shadow-xl`}
        >
          <div className="mb-3 flex items-center justify-between gap-4">
            <Radix.Title className="font-name text-xl font-bold">{title}</Radix.Title>
            <Radix.Close asChild>
              <IconButton label={frameLaterWords.close}>
                <X size={18} aria-hidden />
              </IconButton>
            </Radix.Close>
          </div>
          {children}
        </Radix.Content>
      </Radix.Portal>
    </Radix.Root>
  );
}
