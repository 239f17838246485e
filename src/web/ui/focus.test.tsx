import { act, cleanup, render, screen } from '@testing-library/react';
import { useState } from 'react';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { focusHeading, keepFocus, restoreFocus } from './focus';

/** jsdom draws nothing: everything that is connected counts as seen. */
vi.spyOn(HTMLElement.prototype, 'getClientRects').mockImplementation(
  () => [{ width: 1 }] as unknown as DOMRectList,
);

function Page() {
  const [gone, setGone] = useState(false);
  const [off, setOff] = useState(false);
  return (
    <main id="main">
      <h1>Shelf</h1>
      <section>
        <h2>This jar</h2>
        {!gone && (
          <button
            type="button"
            onClick={() => {
              setGone(true);
            }}
          >
            Take it away
          </button>
        )}
        <button
          type="button"
          disabled={off}
          onClick={() => {
            setOff(true);
          }}
        >
          Switch off
        </button>
      </section>
      <p>Beside everything</p>
    </main>
  );
}

const frames = (): Promise<void> => act(() => new Promise<void>((resolve) => setTimeout(resolve, 60)));
let stop: () => void = () => undefined;
afterEach(() => {
  stop();
  cleanup();
});

describe('the focus', () => {
  it('goes to the heading of its part when what had it is taken away', async () => {
    stop = keepFocus();
    render(<Page />);
    const button = screen.getByRole('button', { name: 'Take it away' });
    button.focus();
    act(() => {
      button.click();
    });
    await frames();
    expect(document.activeElement?.textContent).toBe('This jar');
  });

  it('goes there, too, when what had it is switched off', async () => {
    stop = keepFocus();
    render(<Page />);
    const button = screen.getByRole('button', { name: 'Switch off' });
    button.focus();
    act(() => {
      button.click();
    });
    await frames();
    expect(document.activeElement?.textContent).toBe('This jar');
  });

  it('stays away where the cook took it away', async () => {
    stop = keepFocus();
    render(<Page />);
    const button = screen.getByRole('button', { name: 'Take it away' });
    button.focus();
    button.blur();
    await frames();
    expect(document.activeElement).toBe(document.body);
  });

  it('goes back to what opened a sheet; where nothing had it, to the page’s heading', () => {
    render(<Page />);
    const button = screen.getByRole('button', { name: 'Take it away' });
    restoreFocus(button);
    expect(document.activeElement).toBe(button);
    restoreFocus(document.body);
    expect(document.activeElement?.textContent).toBe('Shelf');
    expect(focusHeading(null)).toBe(false);
  });
});
