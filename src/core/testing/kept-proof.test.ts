import { existsSync, mkdirSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { afterAll, describe, expect, test, vi } from 'vitest';
import { keptProof, keyOf, restsOn, treeAt, type Tree } from './kept-proof';

// What is kept passes only while everything it rests on is as it was: each input is altered in turn.

const folder = mkdtempSync(path.join(os.tmpdir(), 'bouncy-echo-proofs-'));
afterAll(() => rmSync(folder, { recursive: true }));

const SOURCES = {
  'src/a.test.ts': "import { b } from './b';\nimport type { C } from '@/deep/c';\nimport { x } from 'outside';\n",
  'src/b.ts': "export * from './deep/c';\nexport const b = read('lexicon/words.tsv');\n",
  'src/deep/c.ts': "export const later = () => import('../d');\n",
  'src/d.ts': "export const d = read('data/table.tsv');\n",
  'src/other.ts': "import './b';\n",
  'lexicon/words.tsv': 'sun\n',
  'data/table.tsv': '1\n',
  'package-lock.json': JSON.stringify({
    packages: {
      'node_modules/outside': { integrity: 'one', dependencies: { beneath: '1' } },
      'node_modules/beneath': { integrity: 'two' },
      'node_modules/elsewhere': { integrity: 'three' },
    },
  }),
};
for (const [file, text] of Object.entries(SOURCES)) {
  mkdirSync(path.dirname(path.join(folder, file)), { recursive: true });
  writeFileSync(path.join(folder, file), text);
}
const tree = treeAt(folder);
const altered = (file: string, change: (text: string) => string): Tree => ({
  root: folder,
  read: (one) => (one === file ? change(tree.read(one)) : tree.read(one)),
});
const keyWith = (one: Tree): string => keyOf(restsOn(one, 'src/a.test.ts'));

describe('what a proof rests on', () => {
  test('is all that is imported, all that is named and there, the packages beneath, and the engine', () => {
    expect([...restsOn(tree, 'src/a.test.ts').keys()]).toEqual([
      'data/table.tsv',
      'engine',
      'lexicon/words.tsv',
      'package beneath',
      'package outside',
      'src/a.test.ts',
      'src/b.ts',
      'src/d.ts',
      'src/deep/c.ts',
    ]);
  });
  test.each([
    ...['src/a.test.ts', 'src/b.ts', 'src/deep/c.ts', 'src/d.ts', 'lexicon/words.tsv', 'data/table.tsv'].map(
      (file) => [file, (text: string) => `${text} `] as const,
    ),
    ['package-lock.json', (text: string) => text.replace('one', 'four')],
    ['package-lock.json', (text: string) => text.replace('two', 'four')],
  ] as const)('another key where %s is altered', (file, change) => {
    expect(keyWith(altered(file, change))).not.toBe(keyWith(tree));
  });
  test.each([
    ['src/other.ts', (text: string) => `${text} `],
    ['package-lock.json', (text: string) => text.replace('three', 'four')],
  ] as const)('the same where what it does not rest on is: %s', (file, change) => {
    expect(keyWith(altered(file, change))).toBe(keyWith(tree));
  });
  test('another where the engine is', () => {
    const inputs = restsOn(tree, 'src/a.test.ts');
    expect(keyOf(new Map([...inputs, ['engine', 'another']]))).not.toBe(keyOf(inputs));
  });
  test('of this tree: each input of each kept proof, altered alone, is noticed', () => {
    for (const file of ['choosing/model', 'evidence/speech', 'evidence/sound-map', 'testing/ask-voices']) {
      const name = `src/core/${file}${file.startsWith('testing') ? '' : '.test'}.ts`;
      const inputs = restsOn(treeAt('.'), name);
      const key = keyOf(inputs);
      expect(inputs.size, name).toBeGreaterThan(1);
      for (const [input, text] of inputs) expect(keyOf(new Map([...inputs, [input, `${text} `]])), input).not.toBe(key);
    }
  });
  test('of this tree: the comparison rests on the package with the voices, the worlds on the model', () => {
    expect([...restsOn(treeAt('.'), 'src/core/testing/ask-voices.ts').keys()]).toContain('package phonemizer');
    const worlds = [...restsOn(treeAt('.'), 'src/core/choosing/model.test.ts').keys()];
    for (const input of ['src/core/choosing/model.ts', 'src/core/testing/worlds.ts', 'src/core/evidence/ladders.ts'])
      expect(worlds).toContain(input);
    const map = [...restsOn(treeAt('.'), 'src/core/evidence/sound-map.test.ts').keys()];
    for (const input of ['lexicon/words.tsv', 'lexicon/guard.tsv', 'src/core/evidence/sound-map.ts'])
      expect(map).toContain(input);
  });
});

describe('what is kept', () => {
  const parts = Array.from({ length: 40 }, (_, i) => `part ${i}`);
  const file = path.join(folder, 'proofs', 'lengths.json');
  const place = { file, key: 'k', seed: 1, all: false, write: true };
  const wanted = (prove = (part: string): number => part.length) => ({ name: 'lengths', parts, prove: vi.fn(prove) });
  const askAll = (proof: { of(part: string): Promise<number> }): Promise<number[]> =>
    Promise.all(parts.map((part) => proof.of(part)));

  test('nothing yet: all is proved, and kept', async () => {
    const first = wanted();
    const came = await askAll(keptProof(first, place));
    expect(first.prove).toHaveBeenCalledTimes(40);
    const again = wanted();
    expect(await askAll(keptProof(again, place))).toEqual(came);
    // A twentieth is proved afresh, by chance, and each once.
    expect(again.prove).toHaveBeenCalledTimes(2);
    const another = wanted();
    await askAll(keptProof(another, { ...place, seed: 2 }));
    expect(another.prove.mock.calls).not.toEqual(again.prove.mock.calls);
  });
  test('another key: all is proved in that run; on a clean checkout nothing is written', async () => {
    const before = readFileSync(file, 'utf8');
    const changed = wanted(() => 7);
    expect(await askAll(keptProof(changed, { ...place, key: 'other', write: false }))).toEqual(parts.map(() => 7));
    expect(changed.prove).toHaveBeenCalledTimes(40);
    expect(readFileSync(file, 'utf8')).toBe(before);
  });
  test('a part that is new is proved and kept beside the others', async () => {
    const more = { name: 'lengths', parts: [...parts, 'new'], prove: vi.fn((part: string) => part.length) };
    const proof = keptProof(more, place);
    await Promise.all(more.parts.map((part) => proof.of(part)));
    expect(more.prove.mock.calls.flat()).toContain('new');
    expect(more.prove.mock.calls.length).toBeLessThanOrEqual(4);
    expect(readFileSync(file, 'utf8')).toContain('"new": 3');
  });
  test('a spoilt result is found by a run that proves it, and all of them are by a deep one', async () => {
    writeFileSync(file, readFileSync(file, 'utf8').replace('"part 12": 7', '"part 12": 8'));
    await expect(askAll(keptProof(wanted(), { ...place, all: true }))).rejects.toThrow('kept of “part 12”');
    const runs = await Promise.allSettled(
      Array.from({ length: 60 }, (_, seed) => askAll(keptProof(wanted(), { ...place, seed }))),
    );
    const found = runs.filter((r) => r.status === 'rejected').length;
    expect(found).toBeGreaterThan(0);
    expect(found).toBeLessThan(60);
  });
  test('one that fails is not kept', async () => {
    const other = { ...place, file: path.join(folder, 'proofs', 'fails.json') };
    const proof = keptProof(
      wanted(() => {
        throw new Error('not so');
      }),
      other,
    );
    await expect(askAll(proof)).rejects.toThrow('not so');
    expect(existsSync(other.file)).toBe(false);
  });
});
