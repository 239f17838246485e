/** Formulas with their versions, and ingredients of the kitchen's own, as one JSON document that others may read and write. */
import { z } from 'zod';
import { formulaIdSchema, formulaIdsSchema, formulaSchema, versionSchema } from './formula';
import { SHELVES } from './shelfKinds';
import { ingredientRowSchema } from './kitchen';

/** Which formulas a document holds; none named: all. */
export const documentQuerySchema = z.strictObject({
  formula: formulaIdSchema.optional(),
  /** With commas between. */
  formulas: formulaIdsSchema.optional(),
});

export const DOCUMENT_FORMAT = 1;
export const MOST_IN_DOCUMENT = 5000;

export const documentSchema = z.strictObject({
  ygranaDocument: z.literal(DOCUMENT_FORMAT).describe('The form of this document'),
  madeAt: z.iso.datetime(),
  formulas: z
    .array(
      z.strictObject({
        id: formulaIdSchema,
        shelf: z.enum(SHELVES),
        createdAt: z.iso.datetime(),
        formula: formulaSchema.describe('As it is worked on'),
        versions: z.array(versionSchema).max(1000).describe('Frozen states; they never change'),
      }),
    )
    .max(MOST_IN_DOCUMENT),
  ingredients: z.array(ingredientRowSchema).max(MOST_IN_DOCUMENT).describe('The kitchen’s own'),
});
export type KitchenDocument = z.infer<typeof documentSchema>;

export const documentJsonSchema = (): unknown => z.toJSONSchema(documentSchema, { io: 'input' });

export type DocumentReading =
  | { readonly status: 'read'; readonly document: KitchenDocument }
  | { readonly status: 'refused'; readonly message: string };

type Loose = Readonly<Record<string, unknown>>;
const isObject = (value: unknown): value is Loose =>
  typeof value === 'object' && value !== null && !Array.isArray(value);
const mapped = (list: unknown, change: (item: Loose) => Loose): unknown =>
  Array.isArray(list) ? list.map((item: unknown) => (isObject(item) ? change(item) : item)) : list;

/** What a formula of the first day did not say yet. */
const grown = (formula: unknown): unknown =>
  isObject(formula)
    ? {
        styleId: null,
        targetRatio: null,
        tool: null,
        mixSeconds: null,
        stageNames: '',
        basedOnVersion: null,
        ...formula,
        additions: mapped(formula.additions, (addition) => ({
          locked: false,
          measuredBy: null,
          stage: 0,
          ...addition,
        })),
      }
    : formula;

/** From each form to the next. */
const STEPS: readonly ((document: Loose) => Loose)[] = [
  (document) => ({
    ...document,
    ygranaDocument: 1,
    ingredients: document.ingredients ?? [],
    formulas: mapped(document.formulas, (entry) => ({
      shelf: 'shelf',
      ...entry,
      formula: grown(entry.formula),
      versions: mapped(entry.versions, (version) => ({
        parent: null,
        by: { cookId: null, deviceId: '' },
        ...version,
        formula: grown(version.formula),
      })),
    })),
  }),
];

/** @returns the document brought up to today's form, or what is wrong with it and where */
export function readDocument(value: unknown): DocumentReading {
  const refused = (message: string): DocumentReading => ({ status: 'refused', message });
  if (!isObject(value) || typeof value.ygranaDocument !== 'number')
    return refused('This is no Ygrana document: it does not say “ygranaDocument”.');
  if (value.ygranaDocument > DOCUMENT_FORMAT)
    return refused('This document was written by a newer Ygrana. Bring this one up to date first.');
  let document: Loose = value;
  for (const step of STEPS.slice(Math.max(0, value.ygranaDocument))) document = step(document);
  const checked = documentSchema.safeParse(document);
  if (checked.success) return { status: 'read', document: checked.data };
  const [issue] = checked.error.issues;
  return refused(
    `The document is not understood at ${issue!.path.join('.') || 'its top'}: ${issue!.message}.`,
  );
}

/** What came of bringing it in. */
export interface ImportReport {
  readonly added: readonly string[];
  /** There already, letter for letter. */
  readonly same: readonly string[];
  /** Something else had their id: they stand beside it under a new one. */
  readonly beside: readonly string[];
  readonly ingredientsAdded: number;
  /** The kitchen has these otherwise, and keeps its own. */
  readonly ingredientsKept: readonly string[];
}
