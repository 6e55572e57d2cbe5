import { Decrypter, Encrypter, generateX25519Identity, identityToRecipient } from 'age-encryption';
import { randomBytes } from 'node:crypto';
import { closeSync, fstatSync, fsyncSync, openSync, readSync, rmSync } from 'node:fs';
import { openPart, SALT, sealPart, writeAll, type Part } from './payload';
import { sure } from '../core/sure';

/** Why a sealed file could not be opened. */
export class SealFault extends Error {
  constructor(readonly why: 'wrong-key' | 'damaged') {
    super(why);
  }
}

/** The head of a sealed file ends with a line of three dashes and a sum (https://c2sp.org/age, "Header"). */
const HEAD_END = /\n--- [A-Za-z0-9+/]{43}\n/;
const MOST_HEAD = 64 * 1024;

/** The file is open while something is done with it, and closed whatever comes of it. */
function withFile<T>(file: string, flags: 'r' | 'wx', act: (handle: number) => T): T {
  const handle = openSync(file, flags, 0o600);
  try {
    return act(handle);
  } finally {
    closeSync(handle);
  }
}

const wholeOf = (handle: number): Part => ({ handle, from: 0, to: fstatSync(handle).size });

/** Writes a new file of ours alone; it is on the disk when this is done. */
function written(file: string, write: (handle: number) => void): void {
  rmSync(file, { force: true });
  withFile(file, 'wx', (handle) => {
    write(handle);
    fsyncSync(handle);
  });
}

/** A head for these recipients, and the key of the file that it holds: both of the package. */
async function newHead(recipients: readonly string[]): Promise<{ head: Uint8Array; fileKey: Uint8Array }> {
  const encrypter = new Encrypter();
  for (const recipient of recipients) encrypter.addRecipient(recipient);
  let fileKey: Uint8Array | undefined;
  encrypter.addRecipient({
    wrapFileKey: (key) => {
      fileKey = Uint8Array.from(key);
      return [];
    },
  });
  const empty = Buffer.from(await encrypter.encrypt(new Uint8Array()));
  return { head: empty.subarray(0, headLength(empty)), fileKey: sure(fileKey) };
}

/** How long the head at the start of these bytes is. Throws where there is none. */
function headLength(bytes: Buffer): number {
  const end = HEAD_END.exec(bytes.toString('latin1'));
  if (!end) throw new SealFault('damaged');
  return end.index + end[0].length;
}

/** What opens the body of a sealed file. Throws a SealFault where the key is another one's or the head is damaged. */
async function keyFor(file: string, identity: string): Promise<{ from: number; fileKey: Uint8Array; salt: Buffer }> {
  const start = Buffer.alloc(MOST_HEAD);
  const bytes = start.subarray(
    0,
    withFile(file, 'r', (handle) => readSync(handle, start, 0, MOST_HEAD, 0)),
  );
  const length = headLength(bytes);
  const decrypter = new Decrypter();
  decrypter.addIdentity(identity);
  const fileKey = await decrypter.decryptHeader(bytes.subarray(0, length)).catch((error: unknown) => {
    throw new SealFault(/no identity matched/i.test(String(error)) ? 'wrong-key' : 'damaged');
  });
  return { from: length + SALT, fileKey, salt: bytes.subarray(length, length + SALT) };
}

/** The bytes of a sealed file, piece by piece, and each handed on. Throws a SealFault. */
async function opened(file: string, identity: string, take: (pieces: Iterable<Buffer>) => void): Promise<void> {
  const { from, fileKey, salt } = await keyFor(file, identity);
  withFile(file, 'r', (handle) => {
    take(openPart({ ...wholeOf(handle), from }, fileKey, salt));
  });
}

/** Throws where what comes out is not what the file has, byte by byte. */
function expectSame(file: string, pieces: Iterable<Buffer>): void {
  withFile(file, 'r', (handle) => {
    let at = 0;
    for (const piece of pieces) {
      const was = Buffer.alloc(piece.length);
      const got = readSync(handle, was, 0, piece.length, at);
      if (got !== piece.length || !was.equals(piece)) throw new SealFault('damaged');
      at += got;
    }
    if (at !== fstatSync(handle).size) throw new SealFault('damaged');
  });
}

/**
 * Seals a file in the age format and reads it back: it is sealed to a second key as well, which lives for this check
 * alone, and what comes out must be what went in. Throws where it is not; the sealed file is gone then.
 * @param recipient `age1…`
 */
export async function seal(from: string, to: string, recipient: string): Promise<void> {
  const witness = await generateX25519Identity();
  const { head, fileKey } = await newHead([recipient, await identityToRecipient(witness)]);
  const salt = randomBytes(SALT);
  try {
    written(to, (out) => {
      writeAll(out, head);
      writeAll(out, salt);
      withFile(from, 'r', (handle) => {
        sealPart(wholeOf(handle), out, fileKey, salt);
      });
    });
    await opened(to, witness, (pieces) => {
      expectSame(from, pieces);
    });
  } catch (error) {
    rmSync(to, { force: true });
    throw error;
  }
}

/**
 * Opens a sealed file into another. Throws a SealFault; nothing is left of the other file then.
 * @example await unseal('x.sqlite.age', 'x.sqlite', 'AGE-SECRET-KEY-1…');
 */
export async function unseal(from: string, to: string, identity: string): Promise<void> {
  try {
    await opened(from, identity, (pieces) => {
      written(to, (out) => {
        for (const piece of pieces) writeAll(out, piece);
      });
    });
  } catch (error) {
    rmSync(to, { force: true });
    // What the disk says is told as it is; all else means that the file is not as it was sealed.
    if (error instanceof SealFault || (error as NodeJS.ErrnoException).syscall) throw error;
    throw new SealFault('damaged');
  }
}
