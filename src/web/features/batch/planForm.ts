/** The draft of a batch as its fields hold it, there and back. */
import type { BatchRequest } from '#core/batch';
import { TOOLS } from '#core/formula';
import type { BatchDraft } from './draft';

export const ANY = 'any';
export const USUAL = 'usual';
export const NONE = 'none';

/** The draft as its fields hold it: every choice has a value of its own for "not chosen". */
export type PlanForm = Omit<BatchDraft, 'version' | 'tool'> & {
  readonly version: string;
  readonly tool: string;
};

export const formOf = (draft: BatchDraft, version: number, request: BatchRequest | null): PlanForm => ({
  ...draft,
  version: String(version),
  thing: draft.thing || ANY,
  tool: draft.tool ?? USUAL,
  vesselId: draft.vesselId || USUAL,
  storageId: draft.storageId || (request?.storage?.id ?? NONE),
});

/** Only the field that was touched: what is usual must stay unsaid. */
export function draftOfForm(name: string, values: PlanForm): Partial<BatchDraft> {
  switch (name) {
    case 'version':
      return { version: Number(values.version) };
    case 'thing':
      return { thing: values.thing === ANY ? '' : values.thing };
    case 'tool':
      return { tool: TOOLS.find((tool) => tool === values.tool) ?? null };
    case 'vesselId':
      return { vesselId: values.vesselId === USUAL ? '' : values.vesselId };
    default:
      return { [name]: values[name as keyof PlanForm] };
  }
}
