import { Tooltip } from 'radix-ui';
import { useState } from 'react';

/** A word of the trade, explained under the pointer, by key, or by a touch; Escape takes it away. */
export function Explained({ word, means }: { word: string; means: string }) {
  const [open, setOpen] = useState(false);
  return (
    <Tooltip.Provider delayDuration={200}>
      <Tooltip.Root open={open} onOpenChange={setOpen}>
        <Tooltip.Trigger asChild>
          <button
            type="button"
            className="inline cursor-help underline decoration-dotted underline-offset-2"
            data-term={word}
            // A touch opens it, too; the library takes a press for the wish to see no more of it.
            onPointerDown={(event) => {
              event.preventDefault();
            }}
            onClick={(event) => {
              event.preventDefault();
              setOpen(true);
            }}
          >
            {word}
          </button>
        </Tooltip.Trigger>
        <Tooltip.Portal>
          <Tooltip.Content
            sideOffset={6}
            collisionPadding={12}
            className="card z-50 max-w-80 p-3 text-sm leading-snug shadow-xl"
          >
            {means}
          </Tooltip.Content>
        </Tooltip.Portal>
      </Tooltip.Root>
    </Tooltip.Provider>
  );
}
