import type { z } from 'zod';
import type { Problem, Result } from '../units/result';
import { sentenceOf } from './field-words';
import { checkIntegrity } from './integrity';
import { houseSchema, type House } from './schema';
import { findTooMany } from './sizes';

/** Zod's findings as problems with dotted paths. */
export function problemsOf(error: z.ZodError, prefix = ''): Problem[] {
  return error.issues.map((issue) => ({
    code: 'schema',
    path: [prefix, ...issue.path.map(String)].filter(Boolean).join('.'),
    message: sentenceOf(issue),
  }));
}

/** Any data as a House: first how much of it there is, then every field by the schema, then everything that spans fields. */
export function validateHouse(data: unknown): Result<House> {
  const tooMany = findTooMany(data);
  if (tooMany.length > 0) return { ok: false, problems: tooMany };
  const parsed = houseSchema.safeParse(data);
  if (!parsed.success) return { ok: false, problems: problemsOf(parsed.error) };
  const problems = checkIntegrity(parsed.data);
  return problems.length > 0 ? { ok: false, problems } : { ok: true, value: parsed.data };
}
