/**
 * Letting others in: one passcode for the kitchen, and a signed cookie for who gave it. The cookie
 * holds an expiry, a number of its own and a mark of the passcode under a secret kept in the database, so that it
 * holds at every process of the kitchen, survives a restart, ends when the passcode changes, and is good for
 * nothing once it was signed out, wherever a copy of it lies.
 */
import { createHmac, randomBytes, timingSafeEqual } from 'node:crypto';
import { Router, type Request, type RequestHandler } from 'express';
import { rateLimit } from 'express-rate-limit';
import { and, eq, like, lt } from 'drizzle-orm';
import { signInSchema, type SessionState } from '#contract';
import { answersWords } from '#words/screens/answers';
import type { Database } from '../db/client';
import { secrets } from '../db/schema';
import { ApiError, parse } from './apiError';

const COOKIE = 'ygrana_session';
/** Of a secret that says: this session was signed out. Milliseconds since 1970 sort as text until the year 2286. */
const ENDED = 'ended:';
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
    private readonly db: Database,
  ) {}

  /** Compares in constant time, whatever the lengths. */
  accepts(passcode: string): boolean {
    return timingSafeEqual(this.sign(`try ${passcode}`), this.sign(`try ${this.passcode}`));
  }

  newCookie(): string {
    const until = String(this.now().getTime() + SESSION_DAYS * DAY_MS);
    const id = randomBytes(12).toString('hex');
    return `${until}.${id}.${this.mark(until, id)}`;
  }

  async isSignedIn(request: Request): Promise<boolean> {
    const session = this.sessionOf(request);
    if (!session) return false;
    const ended = await this.db
      .select({ name: secrets.name })
      .from(secrets)
      .where(eq(secrets.name, ENDED + session.id));
    return ended.length === 0;
  }

  /** For good, also for who has a copy of the cookie. */
  async signOut(request: Request): Promise<void> {
    const session = this.sessionOf(request);
    if (!session) return;
    // What has run out needs no remembering.
    const now = String(this.now().getTime());
    await this.db.delete(secrets).where(and(like(secrets.name, `${ENDED}%`), lt(secrets.value, now)));
    const row = { name: ENDED + session.id, value: session.until };
    await this.db.insert(secrets).values(row).onConflictDoNothing();
  }

  private sessionOf(request: Request): { readonly until: string; readonly id: string } | null {
    const [until = '', id = '', mark = ''] = (cookieOf(request) ?? '').split('.');
    if (!(Number(until) > this.now().getTime())) return null;
    const [given, right] = [Buffer.from(mark), Buffer.from(this.mark(until, id))];
    return given.length === right.length && timingSafeEqual(given, right) ? { until, id } : null;
  }

  private mark(until: string, id: string): string {
    return this.sign(`session ${until} ${id} ${this.passcode}`).toString('base64url');
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
  async (request, _response, next) => {
    if (!(await access.isSignedIn(request))) {
      throw new ApiError('sign-in', answersWords.thisKitchenAsksForA);
    }
    next();
  };

export function accessRoutes(access: Access | null): Router {
  const router = Router();
  const cookieFor = ({ secure }: Request) =>
    ({ httpOnly: true, sameSite: 'strict', path: '/', secure }) as const;

  router.get('/', async (request, response) => {
    const state: SessionState = {
      needed: access !== null,
      signedIn: access === null || (await access.isSignedIn(request)),
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

  router.delete('/', async (request, response) => {
    await access?.signOut(request);
    response.clearCookie(COOKIE, cookieFor(request));
    response.json({ needed: access !== null, signedIn: access === null } satisfies SessionState);
  });

  return router;
}
