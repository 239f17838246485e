/**
 * Letting others in: one passcode for the kitchen, and a signed cookie for who gave it. The cookie
 * holds an expiry and a mark of the passcode under a secret kept in the database, so that it holds at
 * every process of the kitchen, survives a restart and ends when the passcode changes.
 */
import { createHmac, randomBytes, timingSafeEqual } from 'node:crypto';
import { Router, type Request, type RequestHandler } from 'express';
import { rateLimit } from 'express-rate-limit';
import { eq } from 'drizzle-orm';
import { signInSchema, type SessionState } from '#contract';
import { answersWords } from '#words/screens/answers';
import type { Database } from '../db/client';
import { secrets } from '../db/schema';
import { ApiError, parse } from './apiError';

const COOKIE = 'ygrana_session';
const SESSION_DAYS = 30;
const DAY_MS = 86_400_000;
const TRIES = { windowMs: 10 * 60_000, limit: 10 };

/** Made once, by whoever asks first. */
export async function sessionSecret(db: Database): Promise<Buffer> {
  const fresh = randomBytes(32).toString('base64');
  await db.insert(secrets).values({ name: 'session', value: fresh }).onConflictDoNothing();
  const [row] = await db.select().from(secrets).where(eq(secrets.name, 'session'));
  return Buffer.from(row!.value, 'base64');
}

export class Access {
  constructor(
    private readonly passcode: string,
    private readonly secret: Buffer,
    private readonly now: () => Date,
  ) {}

  /** Compares in constant time, whatever the lengths. */
  accepts(passcode: string): boolean {
    return timingSafeEqual(this.sign(`try ${passcode}`), this.sign(`try ${this.passcode}`));
  }

  newCookie(): string {
    const until = String(this.now().getTime() + SESSION_DAYS * DAY_MS);
    return `${until}.${this.mark(until)}`;
  }

  isSignedIn(request: Request): boolean {
    const [until = '', mark = ''] = (cookieOf(request) ?? '').split('.');
    if (!(Number(until) > this.now().getTime())) return false;
    const [given, right] = [Buffer.from(mark), Buffer.from(this.mark(until))];
    return given.length === right.length && timingSafeEqual(given, right);
  }

  private mark(until: string): string {
    return this.sign(`session ${until} ${this.passcode}`).toString('base64url');
  }

  private sign(text: string): Buffer {
    return createHmac('sha256', this.secret).update(text).digest();
  }
}

function cookieOf(request: Request): string | undefined {
  const found = (request.headers.cookie ?? '').split(/;\s*/).find((pair) => pair.startsWith(`${COOKIE}=`));
  return found?.slice(COOKIE.length + 1);
}

export const requireAccess =
  (access: Access): RequestHandler =>
  (request, _response, next) => {
    if (!access.isSignedIn(request)) {
      throw new ApiError('sign-in', answersWords.thisKitchenAsksForA);
    }
    next();
  };

export function accessRoutes(access: Access | null): Router {
  const router = Router();
  const cookieFor = ({ secure }: Request) =>
    ({ httpOnly: true, sameSite: 'strict', path: '/', secure }) as const;

  router.get('/', (request, response) => {
    const state: SessionState = {
      needed: access !== null,
      signedIn: access === null || access.isSignedIn(request),
    };
    response.json(state);
  });

  router.post(
    '/',
    rateLimit({
      ...TRIES,
      standardHeaders: true,
      legacyHeaders: false,
      skipSuccessfulRequests: true,
      handler: () => {
        throw new ApiError('too-many', answersWords.tooManyWrongPasscodesWait);
      },
    }),
    (request, response) => {
      const { passcode } = parse(signInSchema, request.body, 'Sign-in');
      if (access && !access.accepts(passcode)) {
        throw new ApiError('wrong-passcode', answersWords.thisIsNotTheKitchen);
      }
      if (access)
        response.cookie(COOKIE, access.newCookie(), {
          ...cookieFor(request),
          maxAge: SESSION_DAYS * DAY_MS,
        });
      response.json({ needed: access !== null, signedIn: true } satisfies SessionState);
    },
  );

  router.delete('/', (request, response) => {
    response.clearCookie(COOKIE, cookieFor(request));
    response.json({ needed: access !== null, signedIn: access === null } satisfies SessionState);
  });

  return router;
}
