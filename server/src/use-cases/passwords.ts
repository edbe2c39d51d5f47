import { hash, verify } from '@node-rs/argon2';
import { dictionary } from '@zxcvbn-ts/language-common';
import { SHORTEST_PASSWORD } from '@winculum/contract';
import { badField, Refusal } from './errors';

/** argon2id is this package's default; memory and passes as OWASP's password storage cheat sheet gives for it. */
const ARGON2 = { memoryCost: 19_456, timeCost: 2, parallelism: 1 };
/** Hashing takes memory and a core each time: so many at once, so many waiting, and no more. */
const AT_ONCE = 2;
const MOST_WAITING = 60;

let running = 0;
const waiting: (() => void)[] = [];

/** One hashing after the other, so that a flood of sign-ins costs those who make it and not the rest. */
async function inTurn<T>(work: () => Promise<T>): Promise<T> {
  if (waiting.length >= MOST_WAITING)
    throw new Refusal(429, 'too-many-tries', 'Many people are signing in just now. Try again in a few seconds.', {}, 5);
  if (running >= AT_ONCE) await new Promise<void>((go) => waiting.push(go));
  running++;
  try {
    return await work();
  } finally {
    running--;
    waiting.shift()?.();
  }
}

export const hashPassword = (password: string): Promise<string> => inTurn(() => hash(password, ARGON2));

/** Spent on unknown addresses too, so that the time of an answer does not tell which addresses exist. */
let decoy: Promise<string> | undefined;

/** Whether a password is that of an account; an account that is not there has none, and takes as long. */
export async function matches(passwordHash: string | undefined, password: string): Promise<boolean> {
  const against = passwordHash ?? (await (decoy ??= hash('no account has this password', ARGON2)));
  const isRight = await inTurn(() => verify(against, password));
  return isRight && passwordHash !== undefined;
}

const common = new Set(dictionary['passwords'] as readonly string[]);

/** A few letters over and over: "abcabcabcabc", "111111111111". */
const isRepetition = (text: string): boolean => /^(.{1,6}?)\1+.{0,5}$/s.test(text);
/** Letters or digits in a row, up or down: "abcdefghijkl", "987654321098". */
function isRun(text: string): boolean {
  let steps = 0;
  for (let i = 1; i < text.length; i++) if (Math.abs(text.charCodeAt(i) - text.charCodeAt(i - 1)) === 1) steps++;
  return steps >= text.length - 3;
}

/**
 * Why a password will not do; undefined where it does. Against the list of some 49,000 common passwords that the package
 * @zxcvbn-ts/language-common ships, with what people put before and after them, and against what is known of the person.
 */
export function weaknessOf(password: string, about: readonly string[]): string | undefined {
  const plain = password.toLowerCase().normalize('NFKC');
  const core = plain.replace(/^[\W\d_]+|[\W\d_]+$/gu, '');
  if (
    [plain, core, plain.replace(/[\s._-]/g, '')].some((one) => common.has(one)) ||
    isRepetition(plain) ||
    isRun(plain)
  )
    return 'is one of the common passwords. Choose another: a few words that do not belong together are good';
  const known = ['winculum', ...about.flatMap((one) => one.toLowerCase().split(/[^a-z0-9]+/))].filter(
    (one) => one.length > 3,
  );
  const rest = known.reduce((left, word) => left.replaceAll(word, ''), plain);
  if (rest.length < SHORTEST_PASSWORD / 2) return 'holds little but your name, firm or address. Choose another';
  return undefined;
}

/** @throws Refusal naming the field where a new password will not do. */
export function mustBeStrong(password: string, about: readonly string[]): void {
  const weakness = weaknessOf(password, about);
  if (weakness) throw badField('password', weakness);
}
