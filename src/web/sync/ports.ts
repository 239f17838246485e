/** The ways to the kitchen: a formula's own route, and the one of everything else that is shared. */
import type { ErrorBody, ErrorCode, FormulaRecord, SharedKind, SharedRecord } from '#contract';
import { diffOf } from '#core/formula';
import { frameWords } from '#words/screens/frame';
import { answeredBy, meantFor } from './kitchenHere';
import type { Held, Kind, Outcome, Port } from './shared';

const PATIENCE_MS = 15_000;

export const heldFormula = ({ formula, revision, baseVersion, latestNumber }: FormulaRecord): Held => ({
  doc: formula,
  revision,
  beside: { baseVersion, latestNumber },
});
export const heldShared = ({ doc, revision }: SharedRecord): Held => ({ doc, revision, beside: {} });

/** Not now; the same is as good later. */
const LATER: ReadonlySet<ErrorCode> = new Set<ErrorCode>([
  'too-many',
  'unavailable',
  // The page starts anew with what is kept of the other kitchen; this stays with its own.
  'other-kitchen',
]);

/** Never throws. */
async function post<T>(path: string, body: unknown, heldOf: (record: T) => Held): Promise<Outcome> {
  try {
    const response = await fetch(`/api/${path}`, {
      method: 'POST',
      headers: { 'Content-Type': 'application/json', ...meantFor() },
      body: JSON.stringify(body),
      signal: AbortSignal.timeout(PATIENCE_MS),
    });
    answeredBy(response.headers);
    if (response.ok) return { status: 'taken', held: heldOf((await response.json()) as T) };
    if (response.status === 401) return { status: 'signed-out' };
    const { error } = (await response.json()) as ErrorBody;
    if (error.code === 'conflict') {
      const { record } = error.details as { record: T };
      return { status: 'clash', held: heldOf(record) };
    }
    if (LATER.has(error.code)) return { status: 'away' };
    if (response.status >= 500) return { status: 'broke', why: frameWords.theKitchenSServerGave };
    return { status: 'refused', why: error.message };
  } catch {
    return { status: 'away' };
  }
}

/** @throws `{ status, data }` as a query does */
async function get<T>(path: string): Promise<T> {
  let response: Response;
  try {
    response = await fetch(`/api/${path}`, { signal: AbortSignal.timeout(PATIENCE_MS) });
  } catch {
    throw { status: 'FETCH_ERROR' };
  }
  answeredBy(response.headers);
  const body: unknown = await response.json().catch(() => null);

  if (!response.ok || body === null) throw { status: response.status, data: body };
  return body as T;
}

const FORMULA: Port = {
  fetch: async (id) => heldFormula(await get<FormulaRecord>(`formulas/${id}`)),
  send: (id, { key: idempotencyKey, changes }, baseRevision) =>
    post<FormulaRecord>(
      `formulas/${id}/changes`,
      { idempotencyKey, baseRevision, diff: diffOf(changes) },
      heldFormula,
    ),
};
const sharedPort = (kind: SharedKind): Port => ({
  fetch: async (id) => heldShared(await get<SharedRecord>(`shared/${kind}/${id}`)),
  send: (id, { key: idempotencyKey, changes }) =>
    post<SharedRecord>(`shared/${kind}/${id}/changes`, { idempotencyKey, changes }, heldShared),
});

export const portOf = (kind: Kind): Port => (kind === 'formula' ? FORMULA : sharedPort(kind));
