/** What a cook has practised: answers only, oldest first; what they say of the cook is reckoned from them. */
import { z } from 'zod';
import { ROUND_KINDS } from '#core/practise';

/** As many as a rating is reckoned from: older ones no longer move it. */
export const MOST_ANSWERS = 1000;
/** Where nobody said who cooks. */
export const ANYONE = 'anyone';

export const practiceContentSchema = z.strictObject({
  answers: z
    .array(
      z.strictObject({
        id: z.string().regex(/^[\w-]{1,40}$/),
        kind: z.enum(ROUND_KINDS),
        item: z.string().min(1).max(200),
        difficulty: z.number().min(-5000).max(5000),
        score: z.number().min(0).max(1),
        at: z.iso.datetime(),
      }),
    )
    .max(MOST_ANSWERS, `at most ${MOST_ANSWERS} answers`),
});
export type PracticeContent = z.infer<typeof practiceContentSchema>;
