import { createCipheriv, createDecipheriv, randomBytes, scryptSync } from 'node:crypto';
import { createReadStream, createWriteStream, openSync, readSync, closeSync, statSync } from 'node:fs';
import { Transform } from 'node:stream';
import { pipeline } from 'node:stream/promises';

/**
 * A sealed backup: this line, 16 bytes of salt and 12 of nonce, the backup under AES-256-GCM, and 16 bytes that show that
 * nothing of it was changed. The key comes of a passphrase by scrypt (N 2^16, r 8, p 1).
 */
const MAGIC = Buffer.from('WINCULUM-SEALED-1\n');
const [SALT, NONCE, TAG] = [16, 12, 16];
const HEAD = MAGIC.length + SALT + NONCE;

const keyOf = (passphrase: string, salt: Buffer): Buffer =>
  scryptSync(passphrase.normalize('NFKC'), salt, 32, { N: 2 ** 16, r: 8, p: 1, maxmem: 128 * 2 ** 20 });

function readPart(file: string, from: number, length: number): Buffer {
  const handle = openSync(file, 'r');
  try {
    const part = Buffer.alloc(length);
    return part.subarray(0, readSync(handle, part, 0, length, from));
  } finally {
    closeSync(handle);
  }
}

export const isSealed = (file: string): boolean => readPart(file, 0, MAGIC.length).equals(MAGIC);

/** Writes a sealed copy of a file, for its owner's eyes alone. */
export async function seal(from: string, to: string, passphrase: string): Promise<void> {
  const [salt, nonce] = [randomBytes(SALT), randomBytes(NONCE)];
  const cipher = createCipheriv('aes-256-gcm', keyOf(passphrase, salt), nonce);
  let isBegun = false;
  const framed = new Transform({
    transform(chunk: Buffer, _encoding, done) {
      if (!isBegun) this.push(Buffer.concat([MAGIC, salt, nonce]));
      isBegun = true;
      done(null, chunk);
    },
    flush(done) {
      this.push(cipher.getAuthTag());
      done();
    },
  });
  await pipeline(createReadStream(from), cipher, framed, createWriteStream(to, { mode: 0o600 }));
}

/** Writes what a sealed file holds. @throws when the passphrase is another, or the file was changed. */
export async function unseal(from: string, to: string, passphrase: string): Promise<void> {
  const { size } = statSync(from);
  const head = readPart(from, 0, HEAD);
  const decipher = createDecipheriv(
    'aes-256-gcm',
    keyOf(passphrase, head.subarray(MAGIC.length, MAGIC.length + SALT)),
    head.subarray(MAGIC.length + SALT),
  );
  decipher.setAuthTag(readPart(from, size - TAG, TAG));
  await pipeline(
    createReadStream(from, { start: HEAD, end: size - TAG - 1 }),
    decipher,
    createWriteStream(to, { mode: 0o600 }),
  );
}
