import { Suspense, useState } from 'react';
import { frameWords } from '#words/screens/frame';
import { useCooksQuery } from '../data/kitchenApi';
import { useOpenDocs, withOpen } from '../data/openDocs';
import { useCookHere } from '../data/useCook';
import { later } from '../ui/later';

const CookPanel = later(async () => (await import('./CookPanel')).CookPanel);

/** Who is cooking on this device. No login: what is frozen carries the name. */
export function CookChooser() {
  const listed = useCooksQuery().data;
  const cooks = withOpen(listed, useOpenDocs('cook')) ?? [];
  const hereId = useCookHere();
  const here = cooks.find(({ id }) => id === hereId);
  const [open, setOpen] = useState(false);
  return (
    <>
      <button
        type="button"
        className="inline-flex min-h-8 items-center rounded-full border border-white/50 px-3 text-sm hover:bg-bottle-soft"
        title={here ? frameWords.nameCooksOnThisDevice(here.name) : frameWords.nobodyIsNamedOnThis}
        onClick={() => {
          setOpen(true);
        }}
      >
        {here ? here.initials : frameWords.whoCooks}
      </button>
      {open && (
        <Suspense fallback={null}>
          <CookPanel
            cooks={listed ?? []}
            hereId={here?.id ?? null}
            onClose={() => {
              setOpen(false);
            }}
          />
        </Suspense>
      )}
    </>
  );
}
