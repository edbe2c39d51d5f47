import type { NewId } from '@winculum/core';

const LETTERS = 'abcdefghijkmnpqrstuvwxyz23456789';

/** A short id that no other device will make: a readable letter and ten random ones. */
export const newId: NewId = (prefix) => {
  const random = crypto.getRandomValues(new Uint8Array(10));
  return `${prefix[0]}-${Array.from(random, (byte) => LETTERS[byte % LETTERS.length]).join('')}`;
};
