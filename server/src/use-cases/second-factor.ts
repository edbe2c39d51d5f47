import { createHash, randomBytes } from 'node:crypto';
import { Secret, TOTP } from 'otpauth';
import type { SecondFactorSecret, SignedIn } from '@winculum/contract';
import { findCredentialsOf, updateSecondFactor, useRecoveryCode, useTimeStep, type Credentials } from '../db/accounts';
import type { Db } from '../db/database';
import { Refusal } from './errors';

const PERIOD_S = 30;
const CODES = 10;

const totpOf = (secret: string, label: string): TOTP =>
  new TOTP({ issuer: 'Winculum', label, secret: Secret.fromBase32(secret), period: PERIOD_S });

/** A new secret, which counts once a code made from it was shown. */
export function newSecret(member: SignedIn): SecondFactorSecret {
  const secret = new Secret({ size: 20 }).base32;
  return { secret, uri: totpOf(secret, member.user.email).toString() };
}

const hashOf = (code: string): string => createHash('sha256').update(code).digest('hex');

/** Sixteen letters of base 32: eighty bits of chance. */
const newCode = (): string => new Secret({ buffer: Uint8Array.from(randomBytes(10)).buffer }).base32;

/** Whether a code of the authenticator fits, now or one step before or after; each step is good once. */
async function fitsNow(db: Db, userId: string, secret: string, code: string): Promise<boolean> {
  const delta = totpOf(secret, '').validate({ token: code, window: 1 });
  if (delta === null) return false;
  return useTimeStep(db, userId, Math.floor(Date.now() / 1000 / PERIOD_S) + delta);
}

/** Whether a person shows their second factor: a code of the authenticator, or a recovery code, each once. */
export async function showsSecondFactor(db: Db, found: Credentials, code: string | undefined): Promise<boolean> {
  if (found.totpSecret === null) return true;
  if (code === undefined) return false;
  if (/^[0-9]{6}$/.test(code)) return fitsNow(db, found.id, found.totpSecret, code);
  return useRecoveryCode(db, found.id, hashOf(code));
}

/** Turns the second factor on, once a code shows that the authenticator has the secret. Answers the recovery codes. */
export async function turnOn(db: Db, member: SignedIn, secret: string | undefined, code: string): Promise<string[]> {
  if (!secret) throw new Refusal(409, 'no-secret', 'Begin again: the code to scan is no longer good.');
  if (!(await fitsNow(db, member.user.id, secret, code)))
    throw new Refusal(
      422,
      'second-factor',
      'This code does not fit. Check the clock of your device, and type the newest code.',
    );
  const codes = Array.from({ length: CODES }, newCode);
  await updateSecondFactor(db, member.user.id, secret, codes.map(hashOf));
  return codes;
}

export const turnOff = (db: Db, userId: string): Promise<void> => updateSecondFactor(db, userId, null, []);

export async function secondFactorOf(
  db: Db,
  userId: string,
): Promise<{ hasSecondFactor: boolean; recoveryCodesLeft: number }> {
  const found = await findCredentialsOf(db, userId);
  return {
    hasSecondFactor: typeof found?.totpSecret === 'string',
    recoveryCodesLeft: found?.recoveryHashes.length ?? 0,
  };
}
