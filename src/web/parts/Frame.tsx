import { Search } from 'lucide-react';
import { Suspense, useState } from 'react';
import { NavLink, Outlet, useLocation } from 'react-router';
import { frameWords } from '#words/screens/frame';
import { useSessionQuery, useSettingsQuery } from '../data/kitchenApi';
import { useSettings } from '../data/kitchen';
import { CookChooser } from './CookChooser';
import { NotInGerman } from './NotInGerman';
import { isOfTheStation } from './ofTheStation';
import { places } from './places';
import { useLater } from '../ui/useStands';
import { useLive } from '../sync/live';
import { SyncState } from './SyncState';
import { Timers } from './Timers';
import { Button } from '../ui/Button';
import { sayKeys } from '../ui/shortcuts';
import { WholePage } from './WholePage';
import { later } from '../ui/later';

/** Nobody lets a file go sooner. */
const DROP_MS = 1500;
const DropAnywhere = later(async () => (await import('./DropAnywhere')).DropAnywhere, true);
const FindPanel = later(async () => (await import('./find/FindPanel')).FindPanel);
const SignIn = later(async () => (await import('./SignIn')).SignIn);

/** The one frame: wordmark, places, who is cooking, the kitchen's name. */
export function Frame() {
  const session = useSessionQuery(undefined, { refetchOnFocus: true }).data;
  const signedOut = session?.needed === true && !session.signedIn;
  const { pathname } = useLocation();
  const stands = useLater(DROP_MS);
  useLive(!signedOut);
  const { isError } = useSettingsQuery(undefined, { skip: signedOut });
  const data = useSettings();
  const [open, setOpen] = useState(false);
  const [finding, setFinding] = useState(false);
  return (
    <div className="flex min-h-dvh flex-col">
      <a
        href="#main"
        className="sr-only z-50 bg-tape px-3 py-2 font-semibold focus:not-sr-only focus:absolute focus:top-1 focus:left-1"
      >
        {frameWords.toThePage}
      </a>
      <header className="bg-bottle text-white print:hidden">
        <div className="mx-auto flex max-w-[1880px] flex-wrap items-center gap-x-2 gap-y-1 px-3 py-2 sm:px-5">
          <NavLink to="/" className="font-name mr-2 text-2xl font-bold">
            {frameWords.ygrana}
          </NavLink>
          <Button
            className="order-last min-h-10 border-white/50 bg-transparent text-white hover:bg-bottle-soft sm:hidden"
            aria-expanded={open}
            aria-controls="places"
            onClick={() => {
              setOpen(!open);
            }}
          >
            {frameWords.menu}
          </Button>
          <nav
            id="places"
            aria-label={frameWords.places}
            className={`order-last basis-full flex-wrap gap-1 sm:order-none sm:flex sm:basis-auto ${open ? 'flex' : 'hidden'}`}
            onClick={() => {
              setOpen(false);
            }}
          >
            {places().map(({ to, label }) => (
              <NavLink
                key={to}
                to={to}
                className={({ isActive }) =>
                  `inline-flex min-h-9 items-center rounded-md px-2 sm:px-3 ${isActive ? 'bg-bottle-soft font-semibold' : 'hover:bg-bottle-soft'}`
                }
              >
                {label}
              </NavLink>
            ))}
          </nav>
          <span className="ml-auto flex min-w-0 items-center gap-2">
            {!signedOut && (
              <Button
                className="min-h-9 border-white/50 bg-transparent font-normal text-white hover:bg-bottle-soft"
                title={sayKeys('mod+k')}
                onClick={() => {
                  setFinding(true);
                }}
              >
                <Search size={16} aria-hidden /> {frameWords.find}
              </Button>
            )}
            {!signedOut && <CookChooser />}
            <span className="hidden max-w-56 truncate rounded-full border border-white/50 px-3 py-1 text-sm sm:inline">
              {isError ? frameWords.serverAway : (data?.kitchenName ?? '…')}
            </span>
          </span>
        </div>
      </header>
      {!signedOut && stands && (
        <Suspense fallback={null}>
          <DropAnywhere />
        </Suspense>
      )}
      {!signedOut && <SyncState />}
      {!signedOut && <Timers />}
      <WholePage
        onFind={() => {
          if (!signedOut) setFinding(true);
        }}
      />
      {finding && (
        <Suspense fallback={null}>
          <FindPanel
            onClose={() => {
              setFinding(false);
            }}
          />
        </Suspense>
      )}
      <main
        id="main"
        tabIndex={-1}
        lang={isOfTheStation(pathname) ? undefined : 'en'}
        className="mx-auto w-full max-w-[1880px] flex-1 px-3 py-3 sm:px-5"
      >
        {signedOut ? (
          <Suspense fallback={null}>
            <SignIn />
          </Suspense>
        ) : (
          <>
            <NotInGerman />
            <Outlet />
          </>
        )}
      </main>
    </div>
  );
}
