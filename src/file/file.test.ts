import { Decrypter, Encrypter } from 'age-encryption';
import { execFileSync, spawnSync } from 'node:child_process';
import { randomBytes } from 'node:crypto';
import {
  chmodSync,
  existsSync,
  mkdtempSync,
  readdirSync,
  readFileSync,
  statSync,
  truncateSync,
  writeFileSync,
} from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { beforeAll, describe, expect, test } from 'vitest';
import { getPackage } from '../../scripts/lib/debian.mjs';
import { sure } from '../core/sure';
import { backUp, type CopyFault } from './copy';
import { copiesIn, isShared, KEPT_COPIES, nameOf } from './folder';
import { identityIn, newKeys, wordsOf } from './keys';
import { plain } from './plain';
import { seal, unseal } from './seal';

const folder = (): string => mkdtempSync(path.join(os.tmpdir(), 'bouncy-echo-file-'));

/** A data file with so many children. */
async function dataFile(children = 3): Promise<string> {
  const file = path.join(folder(), 'x.sqlite');
  const db = await plain(file, 'write');
  await db.exec(
    'PRAGMA journal_mode=WAL; CREATE TABLE children (id TEXT, name TEXT); CREATE TABLE sessions (id TEXT); ' +
      'CREATE TABLE answers (id TEXT)',
  );
  for (let i = 0; i < children; i += 1) await db.exec(`INSERT INTO children VALUES ('c${i}', 'Wren ${i}')`);
  await db.close();
  return file;
}

const why = (made: Promise<unknown>): Promise<string> =>
  made.then(
    () => 'none',
    (error: unknown) => (error as CopyFault).why,
  );

describe('keys', () => {
  test('a key is told as 24 words and comes back from them, from itself, and from nothing else', async () => {
    const { identity, recipient, words } = await newKeys();
    expect(recipient).toMatch(/^age1/);
    expect(words.split(' ')).toHaveLength(24);
    expect(identityIn(`  ${words.toUpperCase().replaceAll(' ', '\n ')} `)).toBe(identity);
    expect(identityIn(identity.toLowerCase())).toBe(identity);
    expect(identityIn(words.split(' ').slice(1).join(' '))).toBeNull();
    expect(identityIn(`${identity.slice(0, -1)}Q${identity.slice(-1)}`)).toBeNull();
    expect(identityIn('the shed by the gate')).toBeNull();
  });
  test('the words of a known key (BIP 39, test vector of 32 zero bytes)', () => {
    // github.com/trezor/python-mnemonic/vectors.json, from memory: 23 × abandon, then art.
    const zero = 'AGE-SECRET-KEY-1QQQQQQQQQQQQQQQQQQQQQQQQQQQQQQQQQQQQQQQQQQQQQQQQQQQQQPH9QYZ';
    const words = [...Array.from({ length: 23 }, () => 'abandon'), 'art'].join(' ');
    expect(wordsOf(sure(identityIn(words) ?? zero))).toBe(words);
  });
});

describe('sealed', () => {
  beforeAll(() => {
    if (spawnSync('age', ['--version']).error) getPackage('age');
  }, 400_000);
  test('Debian’s age opens what we seal with the key that was shown, and we what it seals', async () => {
    const at = folder();
    const { identity, recipient } = await newKeys();
    const text = Array.from({ length: 40_000 }, (_, i) => `line ${i}`).join('\n');
    writeFileSync(path.join(at, 'open'), text);
    writeFileSync(path.join(at, 'key'), `${identity}\n`);
    await seal(path.join(at, 'open'), path.join(at, 'sealed'), recipient);
    expect(readFileSync(path.join(at, 'sealed')).includes('line 39999')).toBe(false);
    expect(execFileSync('age', ['-d', '-i', path.join(at, 'key'), path.join(at, 'sealed')]).toString()).toBe(text);
    execFileSync('age', ['-r', recipient, '-o', path.join(at, 'theirs'), path.join(at, 'open')]);
    await unseal(path.join(at, 'theirs'), path.join(at, 'back'), identity);
    expect(readFileSync(path.join(at, 'back'), 'utf8')).toBe(text);
  });
  // https://c2sp.org/age, “Payload”: every length about the end of a piece, held against the package's own JavaScript.
  test.each([0, 1, 65_535, 65_536, 65_537, 131_072, 200_000])(
    '%i bytes: the package opens ours, and we its',
    async (n) => {
      const [from, to, back] = ['from', 'to', 'back'].map((name) => path.join(folder(), name)) as [
        string,
        string,
        string,
      ];
      const { identity, recipient } = await newKeys();
      const bytes = randomBytes(n);
      writeFileSync(from, bytes);
      await seal(from, to, recipient);
      const theirs = new Decrypter();
      theirs.addIdentity(identity);
      expect(bytes.equals(await theirs.decrypt(readFileSync(to)))).toBe(true);
      const made = new Encrypter();
      made.addRecipient(recipient);
      writeFileSync(to, await made.encrypt(bytes));
      await unseal(to, back, identity);
      expect(readFileSync(back).equals(bytes)).toBe(true);
    },
  );
  test('pieces left out, put twice, in another order, or cut at the end of one are all told', async () => {
    const [open, sealed, out] = ['open', 'sealed', 'out'].map((name) => path.join(folder(), name)) as [
      string,
      string,
      string,
    ];
    const { identity, recipient } = await newKeys();
    writeFileSync(open, randomBytes(4 * 65_536));
    await seal(open, sealed, recipient);
    const whole = readFileSync(sealed);
    const length = 65_536 + 16;
    const head = whole.subarray(0, whole.length - 4 * length);
    const pieces = [0, 1, 2, 3].map((i) => whole.subarray(head.length + i * length, head.length + (i + 1) * length));
    const put = (...order: number[]) => Buffer.concat([head, ...order.map((i) => sure(pieces[i]))]);
    writeFileSync(sealed, put(0, 1, 2, 3));
    await unseal(sealed, out, identity);
    for (const order of [[0, 2, 3], [0, 1, 1, 2, 3], [1, 0, 2, 3], [0, 1, 2], []]) {
      writeFileSync(sealed, put(...order));
      expect(await why(unseal(sealed, out, identity)), String(order)).toBe('damaged');
    }
    writeFileSync(sealed, Buffer.concat([put(0, 1, 2, 3), Buffer.alloc(1)]));
    expect(await why(unseal(sealed, out, identity))).toBe('damaged');
    expect(existsSync(out)).toBe(false);
  });
  test('another key, a file cut short, one byte changed, no such format: each told, and nothing is left', async () => {
    const at = folder();
    const [mine, other] = [await newKeys(), await newKeys()];
    const [open, sealed, out] = ['open', 'sealed', 'out'].map((name) => path.join(at, name)) as [
      string,
      string,
      string,
    ];
    writeFileSync(open, Buffer.alloc(200_000, 7));
    await seal(open, sealed, mine.recipient);
    const whole = readFileSync(sealed);
    expect(await why(unseal(sealed, out, other.identity))).toBe('wrong-key');
    truncateSync(sealed, whole.length - 20);
    expect(await why(unseal(sealed, out, mine.identity))).toBe('damaged');
    const flipped = Buffer.from(whole);
    flipped[150_000] = (flipped[150_000] ?? 0) ^ 1;
    writeFileSync(sealed, flipped);
    expect(await why(unseal(sealed, out, mine.identity))).toBe('damaged');
    writeFileSync(sealed, 'nothing of the kind');
    expect(await why(unseal(sealed, out, mine.identity))).toBe('damaged');
    expect(existsSync(out)).toBe(false);
  });
});

describe('a backup', () => {
  test('is counted in the copy, sealed, read back, ours alone; and nothing lies about', async () => {
    const [file, to, keys] = [await dataFile(), folder(), await newKeys()];
    const made = await backUp({ file, folder: to, recipient: keys.recipient, at: Date.now() });
    expect(made.counted).toEqual({ children: 3, sessions: 0, answers: 0 });
    expect(readdirSync(to)).toEqual([made.name]);
    expect(statSync(path.join(to, made.name)).mode & 0o777).toBe(0o600);
    expect(readdirSync(path.dirname(file)).filter((name) => name.includes('part'))).toEqual([]);
    await unseal(path.join(to, made.name), path.join(to, 'back.sqlite'), keys.identity);
    const db = await plain(path.join(to, 'back.sqlite'), 'read');
    expect(await db.all('SELECT name FROM children ORDER BY name')).toHaveLength(3);
    await db.close();
  });
  test('the last fourteen stay; what is not ours is not touched', async () => {
    const [file, to, { recipient }] = [await dataFile(0), folder(), await newKeys()];
    writeFileSync(path.join(to, 'our plans.txt'), 'ours');
    for (let day = 1; day <= KEPT_COPIES + 3; day += 1)
      await backUp({ file, folder: to, recipient, at: new Date(2026, 10, day, 17, 5).getTime() });
    const kept = copiesIn(to);
    expect(kept).toHaveLength(KEPT_COPIES);
    expect(sure(kept[0]).name).toBe(nameOf(new Date(2026, 10, KEPT_COPIES + 3, 17, 5)));
    expect(existsSync(path.join(to, 'our plans.txt'))).toBe(true);
  });
  test('a clock that was ahead, or behind: the one just made stays, and those of the future go first', async () => {
    const [file, to, { recipient }] = [await dataFile(0), folder(), await newKeys()];
    const made = async (at: Date): Promise<string> =>
      (await backUp({ file, folder: to, recipient, at: at.getTime() })).name;
    for (let day = 1; day <= 10; day += 1) await made(new Date(2031, 0, day));
    for (let day = 1; day <= KEPT_COPIES; day += 1) await made(new Date(2026, 10, day));
    expect(copiesIn(to).map((c) => new Date(c.at).getFullYear())).toEqual(
      Array.from({ length: KEPT_COPIES }, () => 2026),
    );
    const behind = await made(new Date(2001, 0, 1));
    expect(copiesIn(to).map((c) => c.name)).toContain(behind);
  });
  test('no such folder, one that cannot be written to, no room: said, and nothing half done', async () => {
    const [file, to, { recipient }] = [await dataFile(), folder(), await newKeys()];
    const asked = { file, recipient, at: Date.now() };
    expect(await why(backUp({ ...asked, folder: path.join(to, 'no') }))).toBe('no-folder');
    const stick = path.join(folder(), 'a file');
    writeFileSync(stick, '');
    expect(await why(backUp({ ...asked, folder: stick }))).toBe('read-only');
    chmodSync(to, 0o700);
    expect(readdirSync(to)).toEqual([]);
  });
  test('folders on another computer are known by the kind of their file system (linux/magic.h)', () => {
    expect([0x6969, 0xff534d42, 0xef53].map(isShared)).toEqual([true, true, false]);
  });
});
