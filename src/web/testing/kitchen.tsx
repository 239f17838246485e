/** A page's piece with the store and the router around it, and a kitchen that answers from a table. */
import { render, type RenderResult } from '@testing-library/react';
import userEvent, { type UserEvent } from '@testing-library/user-event';
import type { ReactElement } from 'react';
import { Provider } from 'react-redux';
import { createMemoryRouter, RouterProvider } from 'react-router';
import { vi } from 'vitest';
import { SHARED_START, type SharedChanges, type SharedKind } from '#contract';
import { applyChanges } from '#core/document';
import { store } from '../sync/store';
import { forgotten } from '../sync/workSlice';

export interface Asked {
  readonly method: string;
  readonly path: string;
  readonly body: unknown;
}
export type Answers = Readonly<Record<string, (body: unknown) => unknown>>;

type Shared = Map<string, { doc: unknown; revision: number }>;

/** What the kitchen shares is kept and changed by the rule that the server has. */
function sharedAnswer(shared: Shared, method: string, path: string): Answers[string] | undefined {
  const [, kind, id] = /^\/shared\/([^/]+)\/([^/]+)/.exec(path) ?? [];
  if (!kind || !id) return undefined;
  const at = `${kind}/${id}`;
  const now = shared.get(at) ?? { doc: SHARED_START[kind as SharedKind], revision: 0 };
  return (body) => {
    if (method === 'POST') {
      const result = applyChanges(now.doc, (body as SharedChanges).changes);
      if (result.status === 'conflict') throw new Error('A change that does not fit.');
      Object.assign(now, { doc: result.doc, revision: now.revision + 1 });
      shared.set(at, now);
    }
    return { kind, id, ...now };
  };
}

/**
 * @param answers by "GET /path"; what is not listed is answered with 404
 * @param docs what is shared, by "kind/id"; null: no change of it is taken
 */
export function kitchenThat(
  answers: Answers,
  docs: Readonly<Record<string, unknown>> | null = {},
): { readonly asked: Asked[]; readonly shared: (at: string) => unknown } {
  const asked: Asked[] = [];
  store.dispatch(forgotten());
  const shared = new Map(Object.entries(docs ?? {}).map(([at, doc]) => [at, { doc, revision: 1 }]));
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
    const isRefused = docs === null && request.method === 'POST';
    const answer = isRefused
      ? undefined
      : (answers[`${request.method} ${path}`] ?? sharedAnswer(shared, request.method, path));
    return answer
      ? Response.json(answer(body))
      : Response.json({ error: { code: 'not-found', message: 'Not there.' } }, { status: 404 });
  });
  return { asked, shared: (at) => shared.get(at)?.doc };
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
