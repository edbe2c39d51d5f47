import { z } from 'zod';

export const AWG_SIZES = ['14', '12', '10', '8', '6', '4', '3', '2', '1', '1/0', '2/0', '3/0', '4/0'] as const;
export const awgSchema = z.enum(AWG_SIZES);
export type Awg = z.infer<typeof awgSchema>;

export const id = z
  .string()
  .min(1)
  .max(64)
  .regex(/^[A-Za-z0-9_-]+$/, 'an id has letters, digits, - and _ only')
  .refine((text) => !['__proto__', 'constructor', 'prototype'].includes(text), 'this word is reserved');
/** Characters that cannot be printed become spaces: a pasted name may hold tabs and worse. */
const printable = (text: string): string => text.replace(/\p{Cc}+/gu, ' ').trim();
/** Free text: a NUL is in no text that a person typed, and no database keeps it. */
export const text = (most: number) =>
  z
    .string()
    .overwrite((one) => one.replaceAll('\0', ''))
    .max(most);
/** One line of text that may be empty. */
export const label = (most: number) => z.string().overwrite(printable).max(most);
export const name = z.string().overwrite(printable).min(1, 'needs a name').max(80, 'is longer than 80 characters');
export const note = text(2000);
export const inches = z.number().min(-12_000).max(12_000);
export const span = z.number().gt(0, 'must be greater than zero').max(12_000);
export const height = z.number().min(0).max(480);
