/**
 * A form bound to a schema of the contract: what is typed, what is wrong with it, whether it is kept. The one
 * way a form holds its draft.
 */
import { zodResolver } from '@hookform/resolvers/zod';
import { useEffect, useRef, useState } from 'react';
import { same } from '#core/document';
import { useForm, type DefaultValues, type FieldValues, type UseFormReturn } from 'react-hook-form';
import type { z } from 'zod';
import { sayIssue } from '#words/problems';

/** `here`: in this browser, until the kitchen is back; `clash`: changed elsewhere too, and to be settled. */
export type DraftState = 'kept' | 'changed' | 'saving' | 'saved' | 'here' | 'clash' | 'failed';

export interface Draft<T extends FieldValues> {
  readonly form: UseFormReturn<T, unknown, T>;
  readonly state: DraftState;
  /** It can be kept as it is typed. */
  readonly isValid: boolean;
  /** Why it was not kept; null: it was. */
  readonly error: unknown;
  /** Hands the checked draft to `save`; what cannot be kept stays as typed. */
  readonly submit: (event?: { preventDefault: () => void }) => void;
  /** Back to what was kept last. */
  readonly revert: () => void;
}

interface DraftOptions<T extends FieldValues> {
  readonly schema: z.ZodType<T>;
  readonly start: T;
  /** @throws whatever the kitchen answered */
  readonly save: (value: T, from: T) => Promise<unknown>;
  /** A form that adds things starts anew after each. */
  readonly startAnew?: boolean;
}

export function useDraft<T extends FieldValues>(options: DraftOptions<T>): Draft<T> {
  const { schema, start, save, startAnew = false } = options;
  const [outcome, setOutcome] = useState<{ readonly error: unknown; readonly came?: unknown } | null>(null);
  const from = useRef(start);
  const seen = useRef(start);
  const form = useForm<T, unknown, T>({
    resolver: zodResolver(schema as z.ZodType<T, T>, { error: sayIssue }),
    defaultValues: start as DefaultValues<T>,
    mode: 'onChange',
  });
  // What is wrong may lie between two fields: whichever is touched, all are looked at.
  useEffect(
    () =>
      form.subscribe({
        formState: { values: true },
        callback: ({ name }) => {
          if (name) void form.trigger();
        },
      }),
    [form],
  );
  const { isSubmitting, isDirty } = form.formState;
  // News from elsewhere: a form in which nothing is typed shows it; what is typed stays, and is merged when kept.
  const isTouched = isSubmitting || isDirty || startAnew;
  useEffect(() => {
    if (isTouched || same(start, seen.current)) return;
    seen.current = start;
    from.current = start;
    form.reset(start);
  }, [start, isTouched, form]);
  const send = async (value: T): Promise<void> => {
    try {
      const came = await save(value, from.current);
      setOutcome({ error: null, came });
      from.current = value;
      // What was typed while it was on its way stays a change.
      form.reset(startAnew ? start : value, { keepValues: !startAnew });
    } catch (error) {
      setOutcome({ error });
    }
  };
  const failed = outcome !== null && outcome.error !== null;
  // Asked of the schema itself: the form's own answer comes late where two questions run at once.
  const isValid = schema.safeParse(form.watch()).success;
  return {
    form,
    isValid,
    error: outcome?.error ?? null,
    state: isSubmitting
      ? 'saving'
      : failed
        ? 'failed'
        : isDirty
          ? 'changed'
          : outcome
            ? stateOf(outcome.came)
            : 'kept',
    submit: (event) => {
      event?.preventDefault();
      void form.handleSubmit(send)();
    },
    revert: () => {
      setOutcome(null);
      form.reset();
    },
  };
}

/** What whoever keeps it says of it. */
const stateOf = (came: unknown): DraftState =>
  came === 'kept' ? 'here' : came === 'clash' ? 'clash' : 'saved';
