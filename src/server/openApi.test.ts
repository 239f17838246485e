import { Validator } from '@seriousme/openapi-schema-validator';
import type { IRouter } from 'express';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { OPERATIONS, openApiDocument } from '#contract';
import { API_WORDS } from '#words/api';
import { createApp } from './app';
import { openDatabase } from './db/client';
import type { BackupsAtWork } from './features/backup/routes';
import type { RunningKitchen } from './start';
import { migrationsFolder, openKitchen, tempFolder, closeDown } from './testing/kitchen';

const folder = tempFolder();
let kitchen: RunningKitchen;
beforeAll(async () => {
  kitchen = await openKitchen(folder);
});
afterAll(() => closeDown(kitchen, folder));

interface Layer {
  readonly route?: { readonly path: string; readonly methods: Readonly<Record<string, boolean>> };
  readonly handle: { readonly stack?: readonly Layer[] };
}
/** What an application answers to: method and path below where its router is mounted. */
const routesOf = (stack: readonly Layer[]): readonly string[] =>
  stack.flatMap(({ route, handle }) => [
    ...(route ? Object.keys(route.methods).map((method) => `${method} ${route.path}`) : []),
    ...routesOf(handle.stack ?? []),
  ]);

describe('the description of the API', () => {
  it('is valid OpenAPI 3.1, as a validator sees it, and is what the kitchen serves', async () => {
    const result = await new Validator().validate(
      openApiDocument(API_WORDS) as Parameters<Validator['validate']>[0],
    );
    expect([result.valid, result.errors]).toEqual([true, undefined]);
    const response = await fetch(`${kitchen.address}/api/openapi.json`);
    expect(response.headers.get('content-type')).toContain('application/json');
    expect(await response.json()).toEqual(JSON.parse(JSON.stringify(openApiDocument(API_WORDS))));
  });

  it('names each operation once, and every reference leads somewhere', () => {
    const text = JSON.stringify(openApiDocument(API_WORDS));
    const ids = [...text.matchAll(/"operationId":"(\w+)"/g)].map(([, id]) => id);
    expect(new Set(ids).size).toBe(OPERATIONS.length);
    const { components } = openApiDocument(API_WORDS) as { components: { schemas: object } };
    for (const [, name] of text.matchAll(/"#\/components\/schemas\/([^"/]+)"/g))
      expect(Object.keys(components.schemas)).toContain(name);
  });

  it('holds every route there is, and no other', async () => {
    const { db, wire, close } = await openDatabase({ folder: undefined }, migrationsFolder);
    const app = createApp({
      db,
      wire,
      access: null,
      hosts: new Set<string>(),
      now: () => new Date(),
      log: () => undefined,
      backups: {} as BackupsAtWork,
    });
    const router = (app as unknown as { router: IRouter }).router as unknown as { stack: readonly Layer[] };
    const found = routesOf(router.stack).filter((route) => !route.includes('*'));
    await close();
    const described = OPERATIONS.map(
      ({ method, path }) => `${method} ${path.replaceAll(/\{(\w+)\}/g, ':$1')}`,
    );
    expect(found).toHaveLength(described.length);
    // Below where a router is mounted, a path is shorter.
    const isDescribed = (route: string): boolean => {
      const [method, path = ''] = route.split(' ');
      return described.some(
        (known) => known.startsWith(`${method} `) && known.endsWith(path === '/' ? '' : path),
      );
    };
    expect(found.filter((route) => !isDescribed(route))).toEqual([]);
  });

  it.each(OPERATIONS.map((operation) => [`${operation.method} ${operation.path}`, operation] as const))(
    '%s is answered, and as described',
    async (_name, { method, path, status, answerType, bodyType, body }) => {
      const address = `${kitchen.address}/api${path.replace('{day}', '2026-12-01').replace('{kind}', 'pantry').replace('{id}', 'nothing')}`;
      const ended = new AbortController();
      const response = await fetch(address, {
        method: method.toUpperCase(),
        signal: ended.signal,
        headers: { origin: kitchen.address, 'content-type': bodyType ?? 'application/json' },
        ...(body ? { body: bodyType ? 'no backup' : '{}' } : {}),
      });
      const { paths } = openApiDocument(API_WORDS) as {
        paths: Record<string, Record<string, { responses: object }>>;
      };
      expect(Object.keys(paths[path]![method]!.responses)).toContain(String(response.status));
      if (status.includes(response.status)) {
        expect(response.headers.get('content-type')).toContain(answerType ?? 'application/json');
        ended.abort();
        return;
      }
      const { error } = (await response.json()) as { error: { message: string } };
      expect(error.message).not.toBe('There is nothing at this address.');
    },
  );
});
