import { NavLink, Outlet } from 'react-router';
import { useSessionQuery, useSettingsQuery } from '../api/kitchenApi';
import { CookChooser } from './CookChooser';
import { useLive } from '../store/live';
import { SignIn } from './SignIn';
import { Timers } from './Timers';

const PLACES = [
  { to: '/', label: 'Shelf' },
  { to: '/pantry', label: 'Pantry' },
  { to: '/batches', label: 'Batches' },
  { to: '/log', label: 'Log' },
  { to: '/measures', label: 'My measures' },
  { to: '/plan', label: 'Service plan' },
  { to: '/settings', label: 'Settings' },
] as const;

/** The one frame: wordmark, places, who is cooking, the kitchen's name. */
export function Frame() {
  const session = useSessionQuery(undefined, { refetchOnFocus: true }).data;
  const signedOut = session?.needed === true && !session.signedIn;
  useLive(!signedOut);
  const { data, isError } = useSettingsQuery(undefined, { skip: signedOut });
  return (
    <div className="flex min-h-dvh flex-col">
      <a
        href="#main"
        className="sr-only z-50 bg-tape px-3 py-2 font-semibold focus:not-sr-only focus:absolute focus:top-1 focus:left-1"
      >
        To the page
      </a>
      <header className="bg-bottle text-white print:hidden">
        <div className="mx-auto flex max-w-[1880px] flex-wrap items-center gap-x-2 gap-y-1 px-3 py-2 sm:px-5">
          <NavLink to="/" className="font-name mr-2 text-2xl font-bold">
            Ygrana
          </NavLink>
          <nav aria-label="Places" className="flex flex-wrap gap-1">
            {PLACES.map(({ to, label }) => (
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
            {!signedOut && <CookChooser />}
            <span className="hidden max-w-56 truncate rounded-full border border-white/50 px-3 py-1 text-sm sm:inline">
              {isError ? 'Server away' : (data?.kitchenName ?? '…')}
            </span>
          </span>
        </div>
      </header>
      {!signedOut && <Timers />}
      <main id="main" className="mx-auto w-full max-w-[1880px] flex-1 px-3 py-3 sm:px-5">
        {signedOut ? <SignIn /> : <Outlet />}
      </main>
    </div>
  );
}
