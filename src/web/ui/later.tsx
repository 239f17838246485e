import { lazy, type ComponentType, type LazyExoticComponent } from 'react';
import { frameWords } from '#words/screens/frame';

/** Said in the place of a part that could not be fetched: the page around it goes on. */
function Missing({ onClose }: { readonly onClose?: () => void }) {
  return (
    <p
      role="alert"
      className="fixed inset-x-3 bottom-3 z-50 mx-auto flex max-w-xl flex-wrap items-center gap-3 rounded-lg border border-rule bg-card p-3 shadow-lg print:hidden"
    >
      <span className="min-w-0 flex-1">{frameWords.thisPartCouldNotBe}</span>
      <a
        href={window.location.href}
        className="inline-flex min-h-11 items-center font-semibold text-leaf underline"
      >
        {frameWords.loadAgain}
      </a>
      {onClose && (
        <button type="button" className="min-h-11 px-2 underline" onClick={onClose}>
          {frameWords.close}
        </button>
      )}
    </p>
  );
}
const Nothing = () => null;

/**
 * A part of a page that is fetched when it is first wanted. Where that fails (the server is away, and this device keeps
 * no program), the part is missed and said, never the page lost.
 *
 * @param quiet nothing is said: nobody asked for it
 */
export function later<P extends object>(
  load: () => Promise<ComponentType<P>>,
  quiet = false,
): LazyExoticComponent<ComponentType<P>> {
  return lazy(async () => {
    try {
      return { default: await load() };
    } catch {
      return { default: (quiet ? Nothing : Missing) as ComponentType<P> };
    }
  });
}
