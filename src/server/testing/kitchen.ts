/** A real kitchen for tests: HTTP on a free port, a database of its own, in a folder or on a server. */
import { cpSync, existsSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { basename, join } from 'node:path';
import pg from 'pg';
import { inject } from 'vitest';
import { MOST_AT_ONCE, SHELVES, type ErrorBody, type ShelfAnswer, type ShelfRecord } from '#contract';
import type { Addition, AdditionId, Formula, FormulaId, VesselId } from '#core/formula';
import type { IngredientId } from '#core/ingredient';
import { emptyFormula } from '#core/formula';
import { openDatabase, type OpenDatabase } from '../db/client';
import { doJob } from '../backup/jobs';
import { agrees, type Exchange } from './agrees';
import { startKitchen, type RunningKitchen, type StartOptions } from '../start';

export const migrationsFolder = join(import.meta.dirname, '../db/migrations');

export const tempFolder = (): string => mkdtempSync(join(tmpdir(), 'ygrana-test-'));
export const dropFolder = (folder: string): void => {
  rmSync(folder, { recursive: true, force: true });
};

/** Where the tests run on a PostgreSQL server instead of the embedded one. */
const server = process.env.YGRANA_TEST_SERVER;
export const onServer = server !== undefined;

/** On a server each data folder has a database of its own, made when it is first asked for. */
export async function databaseOf(dataFolder: string): Promise<{ databaseUrl?: string }> {
  if (server === undefined) return {};
  const name = basename(dataFolder)
    .toLowerCase()
    .replace(/[^a-z0-9]/g, '_');
  const client = new pg.Client({ connectionString: `${server}/postgres` });
  await client.connect();
  const { rowCount } = await client.query('select 1 from pg_database where datname = $1', [name]);
  // Whoever comes second finds it there.
  if (rowCount === 0) await client.query(`create database ${name}`).catch(() => undefined);
  await client.end();
  return { databaseUrl: `${server}/${name}` };
}

/** The database of a kitchen that is closed, to look into its tables. */
export async function openTables(dataFolder: string, migrations = migrationsFolder): Promise<OpenDatabase> {
  const { databaseUrl } = await databaseOf(dataFolder);
  return openDatabase(
    databaseUrl === undefined ? { folder: join(dataFolder, 'db') } : { url: databaseUrl },
    migrations,
  );
}

/** On the embedded database a new folder begins as a copy of the run's template: seconds less. */
function fromTemplate(
  dataFolder: string,
  { demo = false, migrationsFolder: own }: Partial<StartOptions>,
): void {
  const place = join(dataFolder, 'db');
  // Benchmarks open kitchens outside a run of tests: theirs begin empty.
  const outside = process.env.VITEST === undefined;
  if (outside || onServer || demo || own !== undefined || existsSync(place)) return;
  cpSync(inject('databaseTemplate'), place, { recursive: true });
}

export async function openKitchen(
  dataFolder: string,
  options: Partial<StartOptions> = {},
): Promise<RunningKitchen> {
  fromTemplate(dataFolder, options);
  return startKitchen({
    dataFolder,
    ...(await databaseOf(dataFolder)),
    host: '127.0.0.1',
    port: 0,
    extraHosts: [],
    demo: false,
    migrationsFolder,
    say: () => undefined,
    now: () => new Date(),
    ...options,
    runJob: options.runJob ?? doJob,
  });
}

export interface Answer<T> {
  readonly status: number;
  readonly body: T;
}

/** Speaks to a kitchen as its own pages do. */
export class Client {
  /** @param check of every exchange; null where speed or a process that is killed is the point */
  constructor(
    readonly address: string,
    private readonly check: ((exchange: Exchange) => void) | null = agrees,
  ) {}

  get<T>(path: string): Promise<Answer<T>> {
    return this.send<T>('GET', path);
  }
  post<T>(path: string, body: unknown): Promise<Answer<T>> {
    return this.send<T>('POST', path, JSON.stringify(body));
  }
  put<T>(path: string, body: unknown): Promise<Answer<T>> {
    return this.send<T>('PUT', path, JSON.stringify(body));
  }
  delete<T>(path: string): Promise<Answer<T>> {
    return this.send<T>('DELETE', path, '{}');
  }

  async send<T>(
    method: string,
    path: string,
    body?: string,
    headers: Record<string, string> = {},
  ): Promise<Answer<T>> {
    const response = await fetch(`${this.address}/api/${path}`, {
      method,
      headers: {
        ...(body === undefined ? {} : { 'Content-Type': 'application/json' }),
        Origin: this.address,
        ...headers,
      },
      ...(body === undefined ? {} : { body }),
    });
    const text = await response.text();
    const answer: unknown = text ? JSON.parse(text) : null;
    this.check?.({ method, path, sent: body, status: response.status, answer });
    return { status: response.status, body: answer as T };
  }
}

export type Refused = Answer<ErrorBody>;

export const formulaId = (id: string): FormulaId => id as FormulaId;

export function addition(id: string, amountText: string, ingredientId: string, rank = 0): Addition {
  return {
    id: id as AdditionId,
    amountText,
    ingredientId: ingredientId as IngredientId,
    ingredientText: ingredientId,
    form: '',
    note: '',
    phase: 'base',
    optional: false,
    locked: false,
    measuredBy: null,
    stage: 0,
    rank,
  };
}

export const sampleFormula = (name = 'Lakeside test'): Formula => ({
  ...emptyFormula(name, 'swing_top_500' as VesselId, 'metric'),
  additions: [
    addition('one', '30 ml', 'vin_cider5', 0),
    addition('two', '1 tsp', 'salt_sea_fine', 1),
    { ...addition('three', '90 ml', 'rapeseed', 0), phase: 'oil' },
  ],
});

/** A kitchen with one frozen formula, "house". */
export async function openHouse(
  folder: string,
  options: Partial<StartOptions> = {},
): Promise<{ readonly kitchen: RunningKitchen; readonly client: Client }> {
  const kitchen = await openKitchen(folder, options);
  const client = new Client(kitchen.address);
  await client.post('formulas', { id: 'house', formula: sampleFormula('House') });
  await client.post('formulas/house/versions', { revision: 0 });
  return { kitchen, client };
}

export async function closeDown(kitchen: RunningKitchen, folder: string): Promise<void> {
  await kitchen.stop();
  dropFolder(folder);
}

/** Every formula of a kitchen, wherever it stands. */
export async function allFormulas(client: Pick<Client, 'get'>): Promise<readonly ShelfRecord[]> {
  const all: ShelfRecord[] = [];
  for (const place of SHELVES) {
    for (let offset = 0, total = 1; offset < total; offset += MOST_AT_ONCE) {
      const { body } = await client.get<ShelfAnswer>(
        `formulas?place=${place}&offset=${offset}&limit=${MOST_AT_ONCE}`,
      );
      all.push(...body.records);
      total = body.total;
    }
  }
  return all;
}
