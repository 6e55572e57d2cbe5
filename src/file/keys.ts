import { bech32 } from '@scure/base';
import { entropyToMnemonic, mnemonicToEntropy } from '@scure/bip39';
import { wordlist } from '@scure/bip39/wordlists/english.js';
import { generateX25519Identity, identityToRecipient } from 'age-encryption';

/** The key that backups are locked with, and the one that opens them. */
export interface KeyPair {
  /** Locks: `age1…`. It opens nothing, so it may be kept. */
  readonly recipient: string;
  /** Opens: `AGE-SECRET-KEY-1…`. It is shown once and kept nowhere. */
  readonly identity: string;
  /** The same as 24 words (BIP 39, English list). */
  readonly words: string;
}

const PREFIX = 'age-secret-key-';

/** A new key pair of the age format (C2SP age specification, X25519). */
export async function newKeys(): Promise<KeyPair> {
  const identity = await generateX25519Identity();
  return { identity, recipient: await identityToRecipient(identity), words: wordsOf(identity) };
}

/** The secret bytes of an identity as 24 words. */
export function wordsOf(identity: string): string {
  const { words } = bech32.decode(identity.toLowerCase() as `${string}1${string}`);
  return entropyToMnemonic(Uint8Array.from(bech32.fromWords(words)), wordlist);
}

/**
 * The identity somebody typed or pasted, as words or as it is; null where it is neither.
 * @example identityIn('AGE-SECRET-KEY-1 …') // 'AGE-SECRET-KEY-1…'
 */
export function identityIn(typed: string): string | null {
  const key = typed.replace(/\s+/g, '').toUpperCase();
  try {
    if (key.startsWith(PREFIX.toUpperCase())) return wordsOf(key) ? key : null;
    const entropy = mnemonicToEntropy(typed.trim().toLowerCase().split(/\s+/).join(' '), wordlist);
    return bech32.encode(PREFIX, bech32.toWords(entropy), false).toUpperCase();
  } catch {
    return null;
  }
}
