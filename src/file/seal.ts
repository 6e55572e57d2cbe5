import { Decrypter, Encrypter, generateX25519Identity, identityToRecipient } from 'age-encryption';
import { createHash, type Hash } from 'node:crypto';
import { createReadStream, createWriteStream, openSync, fsyncSync, closeSync, rmSync } from 'node:fs';
import { Readable, Writable } from 'node:stream';

/** Why a sealed file could not be opened. */
export class SealFault extends Error {
  constructor(readonly why: 'wrong-key' | 'damaged') {
    super(why);
  }
}

type Bytes = ReadableStream<Uint8Array>;

const reading = (file: string): Bytes => Readable.toWeb(createReadStream(file)) as Bytes;

/** Passes bytes on and takes their sum. */
const summed = (hash: Hash): TransformStream<Uint8Array, Uint8Array> =>
  new TransformStream({
    transform: (piece, to) => {
      hash.update(piece);
      to.enqueue(piece);
    },
  });

/** Writes bytes to a new file of ours alone; they are on the disk when it is done. */
async function written(bytes: Bytes, file: string): Promise<void> {
  rmSync(file, { force: true });
  await bytes.pipeTo(
    Writable.toWeb(createWriteStream(file, { mode: 0o600, flags: 'wx' })) as WritableStream<Uint8Array>,
  );
  const handle = openSync(file, 'r+');
  fsyncSync(handle);
  closeSync(handle);
}

/**
 * Seals a file in the age format and reads it back: it is sealed to a second key as well, which lives for this check
 * alone, and what comes out must be what went in. Throws where it is not; the sealed file is gone then.
 * @param recipient `age1…`
 */
export async function seal(from: string, to: string, recipient: string): Promise<void> {
  const witness = await generateX25519Identity();
  const encrypter = new Encrypter();
  encrypter.addRecipient(recipient);
  encrypter.addRecipient(await identityToRecipient(witness));
  const [went, came] = [createHash('sha256'), createHash('sha256')];
  try {
    await written(await encrypter.encrypt(reading(from).pipeThrough(summed(went))), to);
    for await (const piece of await opened(to, witness)) came.update(piece);
    if (went.digest('hex') !== came.digest('hex')) throw new SealFault('damaged');
  } catch (error) {
    rmSync(to, { force: true });
    throw error;
  }
}

/** The bytes of a sealed file. Throws a SealFault where the key is another one's, or the file is damaged. */
async function opened(file: string, identity: string): Promise<Bytes> {
  const decrypter = new Decrypter();
  decrypter.addIdentity(identity);
  return decrypter.decrypt(reading(file)).catch((error: unknown) => {
    throw new SealFault(/no identity matched/i.test(String(error)) ? 'wrong-key' : 'damaged');
  });
}

/**
 * Opens a sealed file into another. Throws a SealFault; nothing is left of the other file then.
 * @example await unseal('x.sqlite.age', 'x.sqlite', 'AGE-SECRET-KEY-1…');
 */
export async function unseal(from: string, to: string, identity: string): Promise<void> {
  try {
    await written(await opened(from, identity), to);
  } catch (error) {
    rmSync(to, { force: true });
    if (error instanceof SealFault || (error as NodeJS.ErrnoException).code) throw error;
    throw new SealFault('damaged');
  }
}
