/**
 * `npm test` has minutes, not a quarter of an hour: what is soon done and easily broken always runs, of the main ways through the
 * application two in five, of the other tests a twentieth, chosen by a seed that is the commit: the same commit runs the same, the next others.
 * `npm run torture` runs them all.
 */
import { execFileSync } from 'node:child_process';
import { createHash } from 'node:crypto';

const SHARE = { often: 0.4, other: 0.05 } as const;
const NAME = 'YGRANA_SEED';

export const isWhole = (): boolean => Boolean(process.env.YGRANA_TORTURE) || process.env[NAME] === 'all';

/** Handed on to the workers, and said in what is printed. */
export function settleSeed(): string {
  process.env[NAME] ??= commit();
  return process.env[NAME];
}

function commit(): string {
  try {
    return execFileSync('git', ['rev-parse', '--short', 'HEAD'], { encoding: 'utf8' }).trim();
  } catch {
    // Unpacked from an archive.
    return 'no-commit';
  }
}

export function isChosen(name: string, isMainWay: boolean): boolean {
  const [first = 0] = createHash('sha256').update(`${settleSeed()} ${name}`).digest();
  return first / 256 < (isMainWay ? SHARE.often : SHARE.other);
}
