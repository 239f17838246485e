import { NavLink, Outlet } from 'react-router';
import { useSettingsQuery } from '../api/kitchenApi';

const PLACES = [
  { to: '/', label: 'Shelf' },
  { to: '/settings', label: 'Settings' },
] as const;

/** The one frame: wordmark, places, the kitchen's name. */
export function Frame() {
  const { data, isError } = useSettingsQuery();
  return (
    <div className="flex min-h-dvh flex-col">
      <header className="bg-bottle text-white print:hidden">
        <div className="mx-auto flex max-w-[1880px] items-center gap-2 px-3 py-2 sm:px-5">
          <NavLink to="/" className="font-name mr-2 text-2xl font-bold">
            Ygrana
          </NavLink>
          <nav aria-label="Places" className="flex gap-1">
            {PLACES.map(({ to, label }) => (
              <NavLink
                key={to}
                to={to}
                className={({ isActive }) =>
                  `inline-flex min-h-9 items-center rounded-md px-3 ${isActive ? 'bg-bottle-soft font-semibold' : 'hover:bg-bottle-soft'}`
                }
              >
                {label}
              </NavLink>
            ))}
          </nav>
          <span className="ml-auto max-w-[40%] truncate rounded-full border border-white/50 px-3 py-1 text-sm">
            {isError ? 'Server away' : (data?.kitchenName ?? '…')}
          </span>
        </div>
      </header>
      <main className="mx-auto w-full max-w-[1880px] flex-1 px-3 py-3 sm:px-5">
        <Outlet />
      </main>
    </div>
  );
}
