import { cleanup, render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { Suspense } from 'react';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { later } from './later';

const away = () => Promise.reject(new TypeError('Failed to fetch dynamically imported module'));

afterEach(cleanup);

describe('a part that is fetched when it is wanted', () => {
  it('is shown once it is here', async () => {
    const Here = later(() => Promise.resolve(({ name }: { name: string }) => <p>Hello {name}</p>));
    render(
      <Suspense fallback="…">
        <Here name="jar" />
      </Suspense>,
    );
    expect((await screen.findByText('Hello jar')).textContent).toBe('Hello jar');
  });

  it('is missed and said where it cannot be fetched, and the page around it stays', async () => {
    const Away = later<{ onClose: () => void }>(away);
    const closed = vi.fn();
    render(
      <>
        <input aria-label="typed" defaultValue="90 ml olive oil" />
        <Suspense fallback="…">
          <Away onClose={closed} />
        </Suspense>
      </>,
    );
    expect((await screen.findByRole('alert')).textContent).toContain('could not be fetched');
    expect(screen.getByLabelText<HTMLInputElement>('typed').value).toBe('90 ml olive oil');
    await userEvent.click(screen.getByRole('button', { name: 'Close' }));
    expect(closed).toHaveBeenCalledOnce();
  });

  it('is not spoken of where nobody asked for it', async () => {
    const Quiet = later(away, true);
    const { container } = render(
      <Suspense fallback="…">
        <Quiet />
      </Suspense>,
    );
    await vi.waitFor(() => {
      expect(container.textContent).toBe('');
    });
  });
});
