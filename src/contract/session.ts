import { z } from 'zod';

export const signInSchema = z.strictObject({ passcode: z.string().min(1).max(200) });

export interface SessionState {
  /** The kitchen asks for a passcode. */
  readonly needed: boolean;
  readonly signedIn: boolean;
}
