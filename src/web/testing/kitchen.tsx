/** A page's piece with the store and the router around it, and a kitchen that answers from a table. */
import { render, type RenderResult } from '@testing-library/react';
import userEvent, { type UserEvent } from '@testing-library/user-event';
import type { ReactElement } from 'react';
import { Provider } from 'react-redux';
import { createMemoryRouter, RouterProvider } from 'react-router';
import { vi } from 'vitest';
import { store } from '../sync/store';

export interface Asked {
  readonly method: string;
  readonly path: string;
  readonly body: unknown;
}
export type Answers = Readonly<Record<string, (body: unknown) => unknown>>;

/** @param answers by "GET /path"; what is not listed is answered with 404 */
export function kitchenThat(answers: Answers): { readonly asked: Asked[] } {
  const asked: Asked[] = [];
  const RealRequest = globalThis.Request;
  // A page's addresses are its own; outside a browser they need their host.
  class PageRequest extends RealRequest {
    constructor(input: Request | string | URL, { signal: _signal, ...init }: RequestInit = {}) {
      super(input instanceof RealRequest ? input : new URL(input, location.href), init);
    }
  }
  vi.stubGlobal('Request', PageRequest);
  vi.stubGlobal('fetch', async (input: Request | string, init?: RequestInit) => {
    const request = input instanceof RealRequest ? input : new PageRequest(input, init);
    const path = new URL(request.url).pathname.replace(/^\/api/, '');
    const text = await request.text();
    const body: unknown = text === '' ? null : JSON.parse(text);
    asked.push({ method: request.method, path, body });
    const answer = answers[`${request.method} ${path}`];
    return answer
      ? Response.json(answer(body))
      : Response.json({ error: { code: 'not-found', message: 'Not there.' } }, { status: 404 });
  });
  return { asked };
}

/** @param at where the page stands */
export function show(element: ReactElement, at = '/'): RenderResult & { readonly user: UserEvent } {
  const router = createMemoryRouter([{ path: '*', element }], { initialEntries: [at] });
  const shown = render(
    <Provider store={store}>
      <RouterProvider router={router} />
    </Provider>,
  );
  return { ...shown, user: userEvent.setup() };
}
