/** The closed table of what the API may answer instead of a result. */
export const ERROR_STATUS = {
  'bad-json': 400,
  invalid: 400,
  'sign-in': 401,
  'wrong-passcode': 403,
  'too-many': 429,
  'not-found': 404,
  'method-not-allowed': 405,
  'wrong-host': 403,
  'wrong-origin': 403,
  'not-json': 415,
  'too-large': 413,
  conflict: 409,
  exists: 409,
  circle: 422,
  /** Another kitchen is at this address now, or this one was put back to an earlier day. */
  'other-kitchen': 409,
  /** Another making has the instrument. */
  claimed: 409,
  /** The instrument is not there, or not plugged in. */
  'no-instrument': 409,
  internal: 500,
  /** The database is away for the moment. */
  unavailable: 503,
} as const;

export type ErrorCode = keyof typeof ERROR_STATUS;

export interface ErrorBody {
  readonly error: {
    readonly code: ErrorCode;
    /** What is wrong, where, and what to do. */
    readonly message: string;
    readonly details?: unknown;
  };
}
