import { z } from 'zod';

export const id = z
  .string()
  .min(1)
  .max(64)
  .regex(/^[A-Za-z0-9_-]+$/, 'an id has letters, digits, - and _ only')
  .refine((text) => !['__proto__', 'constructor', 'prototype'].includes(text), 'this word is reserved');
export const name = z.string().trim().min(1, 'needs a name').max(80, 'is longer than 80 characters');
export const note = z.string().max(2000);
export const inches = z.number().min(-12_000).max(12_000);
export const span = z.number().gt(0, 'must be greater than zero').max(12_000);
export const height = z.number().min(0).max(480);
