/** A file of JSON, checked: what it says, or what is wrong with it, where, in words. */
import type { z } from 'zod';
import { commandLineWords } from '#words/screens/commandLine';

/** @param file as it was named. @returns a sentence where it is none of the wanted form */
export function readJson<S extends z.ZodType>(schema: S, text: string, file: string): z.output<S> | string {
  let value: unknown;
  try {
    value = JSON.parse(text);
  } catch (error) {
    return commandLineWords.formulateIsNoJsonForm(file, error instanceof Error ? error.message : '');
  }
  const checked = schema.safeParse(value);
  if (checked.success) return checked.data;
  const [issue] = checked.error.issues;
  return commandLineWords.formulateAtPartMessage(
    file,
    issue!.path.join('.') || commandLineWords.theTop,
    issue!.message,
  );
}
