/** The contract's messages are codes: each must have its words. */
import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { expect, it } from 'vitest';
import { z } from 'zod';
import { sayCode, sayIssue } from './problems';

const CONTRACT = join(import.meta.dirname, '../contract');
const MESSAGE =
  /(?:\.(?:min|max|gt|gte|lt|lte|int|regex|refine|length)\([^\n]*?,\s*|message: )(?:'([^']+)'|`([^`]+)`)|^ +'((?:must|needs|at|is|the|low|heights) [^']+)',?$/gm;

const files = readdirSync(CONTRACT).filter((name) => /^(?!defaults|document|shapes)\w+\.ts$/.test(name));

it('every message of the contract has words', () => {
  const codes = files.flatMap((name) =>
    [...readFileSync(join(CONTRACT, name), 'utf8').matchAll(MESSAGE)].map(([, plain, template, alone]) =>
      (plain ?? template ?? alone!).replace(/\$\{[^}]+\}/g, '7'),
    ),
  );
  expect(codes.length).toBeGreaterThan(40);
  expect(codes.filter((code) => sayCode(code) === null)).toEqual([]);
});

it('says what any schema finds wrong, in words of its own', () => {
  const schema = z.strictObject({
    a: z.number().max(3),
    b: z.string().min(2),
    c: z.enum(['x', 'y']),
    d: z.iso.date(),
    e: z.number().int(),
  });
  const issues = schema.safeParse({ a: 5, b: '', c: 'z', d: 'soon', e: 1.5, f: 1 }).error!.issues;
  expect(issues.map(sayIssue)).toEqual([
    'at most 3',
    'at least 2',
    'not one of the choices there are',
    'not of the right form',
    'of the wrong kind, or missing',
    'holding fields that are not known here',
  ]);
});
