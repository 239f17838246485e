import { act, cleanup, render, screen, waitFor } from '@testing-library/react';
import { useState } from 'react';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { Dialog } from './Dialog';

function Sheets({ onClose }: { onClose: () => void }) {
  const [open, setOpen] = useState(true);
  const [inner, setInner] = useState(false);
  return (
    <Dialog
      title="Outer"
      open={open}
      onClose={() => {
        onClose();
        setOpen(false);
      }}
    >
      <button
        type="button"
        onClick={() => {
          setInner(true);
        }}
      >
        more
      </button>
      <Dialog
        title="Inner"
        open={inner}
        onClose={() => {
          setInner(false);
        }}
      >
        <p>inside</p>
      </Dialog>
    </Dialog>
  );
}
const back = (): Promise<void> =>
  act(async () => {
    const popped = new Promise((done) => {
      window.addEventListener('popstate', done, { once: true });
    });
    window.history.back();
    await popped;
  });

afterEach(cleanup);

describe('Back', () => {
  it('closes the sheet and leaves the page, with the router’s own state in it', async () => {
    window.history.replaceState({ key: 'page' }, '', '/here');
    const onClose = vi.fn();
    render(<Sheets onClose={onClose} />);
    expect(window.history.state).toMatchObject({ key: 'page' });
    expect(window.history.state).toHaveProperty('sheet');
    await back();
    expect(onClose).toHaveBeenCalledOnce();
    expect(screen.queryByText('Outer')).toBeNull();
    expect([window.location.pathname, window.history.state]).toEqual(['/here', { key: 'page' }]);
  });

  it('closes the upper one of two, then the lower', async () => {
    const onClose = vi.fn();
    render(<Sheets onClose={onClose} />);
    act(() => {
      screen.getByText('more').click();
    });
    expect(screen.getByText('inside')).toBeTruthy();
    await back();
    await waitFor(() => {
      expect(screen.queryByText('inside')).toBeNull();
    });
    expect(onClose).not.toHaveBeenCalled();
    await back();
    expect(onClose).toHaveBeenCalledOnce();
  });

  it('passes over the entry of a sheet that was closed otherwise', async () => {
    window.history.replaceState({ idx: 0 }, '', '/before');
    window.history.pushState({ idx: 1 }, '', '/here');
    render(<Sheets onClose={() => undefined} />);
    act(() => {
      screen.getByRole('button', { name: 'Close' }).click();
    });
    await back();
    await waitFor(() => {
      expect(window.location.pathname).toBe('/before');
    });
  });

  it('leaves a page alone that was gone to from a sheet', async () => {
    window.history.replaceState({ idx: 0 }, '', '/here');
    render(<Sheets onClose={() => undefined} />);
    act(() => {
      screen.getByRole('button', { name: 'Close' }).click();
    });
    window.history.pushState({ idx: 1 }, '', '/there');
    await new Promise((done) => setTimeout(done, 20));
    expect(window.location.pathname).toBe('/there');
    await back();
    expect(window.location.pathname).toBe('/here');
  });
});
