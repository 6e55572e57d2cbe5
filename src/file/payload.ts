import { createCipheriv, createDecipheriv, hkdfSync } from 'node:crypto';
import { readSync, writeSync } from 'node:fs';

/**
 * The body of a file in the age format: pieces of 64 KiB, each by itself in ChaCha20-Poly1305 with its number and
 * whether it is the last (https://c2sp.org/age, "Payload"). The cipher is that of Node's own OpenSSL: the package's, in
 * JavaScript, takes twelve times as long. Nothing of the keys or of the head is made here.
 */
const PIECE = 64 * 1024;
const TAG = 16;
const CIPHER = 'chacha20-poly1305';
const WITH_TAG = { authTagLength: TAG };

/** The body has a key of its own, made of the file's key and so many random bytes, which stand before it. */
export const SALT = 16;

const keyOf = (fileKey: Uint8Array, salt: Uint8Array): Buffer =>
  Buffer.from(hkdfSync('sha256', fileKey, salt, 'payload', 32));

/** What makes each piece's seal its own: its number in eleven bytes, and 1 where it is the last. */
function nonceOf(number: number, last: boolean): Buffer {
  const nonce = Buffer.alloc(12);
  nonce.writeUIntBE(number, 5, 6);
  nonce[11] = last ? 1 : 0;
  return nonce;
}

/** Bytes of an open file. */
export interface Part {
  readonly handle: number;
  readonly from: number;
  readonly to: number;
}

/** The pieces of a part, each so long but the last; an empty part is one empty piece. */
function* piecesOf({ handle, from, to }: Part, length: number): Generator<{ piece: Buffer; nonce: Buffer }> {
  const count = Math.max(1, Math.ceil((to - from) / length));
  for (let i = 0; i < count; i += 1) {
    const at = from + i * length;
    const piece = Buffer.allocUnsafe(Math.min(length, to - at));
    for (let got = 0; got < piece.length;) {
      const more = readSync(handle, piece, got, piece.length - got, at + got);
      if (more === 0) throw new Error('The file has become shorter.');
      got += more;
    }
    yield { piece, nonce: nonceOf(i, i === count - 1) };
  }
}

/** Writes all of a piece; a disk that is full says so. */
export function writeAll(handle: number, piece: Uint8Array): void {
  for (let done = 0; done < piece.length;) done += writeSync(handle, piece, done);
}

/** Seals a part into an open file, after the salt. */
export function sealPart(part: Part, to: number, fileKey: Uint8Array, salt: Uint8Array): void {
  const key = keyOf(fileKey, salt);
  for (const { piece, nonce } of piecesOf(part, PIECE)) {
    const cipher = createCipheriv(CIPHER, key, nonce, WITH_TAG);
    writeAll(to, cipher.update(piece));
    cipher.final();
    writeAll(to, cipher.getAuthTag());
  }
}

/**
 * What a sealed part holds, piece by piece. Throws where any of it is not as it was sealed, or its end is missing.
 */
export function* openPart(part: Part, fileKey: Uint8Array, salt: Uint8Array): Generator<Buffer> {
  const key = keyOf(fileKey, salt);
  let first = true;
  for (const { piece, nonce } of piecesOf(part, PIECE + TAG)) {
    if (piece.length < TAG || (piece.length === TAG && !first)) throw new Error('The file was cut short.');
    const decipher = createDecipheriv(CIPHER, key, nonce, WITH_TAG);
    decipher.setAuthTag(piece.subarray(-TAG));
    const open = decipher.update(piece.subarray(0, -TAG));
    decipher.final();
    first = false;
    yield open;
  }
}
