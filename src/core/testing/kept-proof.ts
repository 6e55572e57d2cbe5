import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { isDeepStrictEqual } from 'node:util';
import ts from 'typescript';
import { seeded, shuffle } from '../random';

/** Where the tree of sources is, and what reads a file of it. */
export interface Tree {
  readonly root: string;
  /** What stands in a file, by its path from the root. */
  read(file: string): string;
}

/** Of what is kept under a key that still holds, this share is proved afresh in every run. */
const SHARE = 1 / 20;

export const treeAt = (root: string): Tree => ({ root, read: (file) => readFileSync(path.join(root, file), 'utf8') });

const isFile = (tree: Tree, file: string): boolean =>
  existsSync(path.join(tree.root, file)) && statSync(path.join(tree.root, file)).isFile();

/** The file of the tree that an import of another one means; undefined where it is a package. */
function fileOf(tree: Tree, from: string, wanted: string): string | undefined {
  const near = wanted.startsWith('.') ? path.join(path.dirname(from), wanted) : null;
  const to = wanted.startsWith('@/') ? path.join('src', wanted.slice(2)) : near;
  if (to === null) return undefined;
  return ['', '.ts', '.tsx', '.mjs', '/index.ts'].map((end) => to + end).find((file) => isFile(tree, file));
}

const filesUnder = (tree: Tree, place: string): string[] =>
  readdirSync(path.join(tree.root, place), { recursive: true, withFileTypes: true })
    .filter((entry) => entry.isFile())
    .map((entry) => path.relative(tree.root, path.join(entry.parentPath, entry.name)));

/** What a source names in quotes and is there to be read: files of data. */
function dataNamedIn(tree: Tree, text: string): string[] {
  const named = [...text.matchAll(/['"`]([\w-]+(?:\/[\w.-]+)*)[/'"`]/g)].map(([, name = '']) => name);
  return named
    .filter((name) => name === 'lexicon' || (name.includes('/') && existsSync(path.join(tree.root, name))))
    .flatMap((name) => (isFile(tree, name) ? [name] : filesUnder(tree, name)));
}

interface Lock {
  readonly packages: Readonly<
    Record<string, { readonly integrity?: string; readonly dependencies?: Readonly<Record<string, string>> }>
  >;
}

/** A package and all that it stands on, each with the hash the lock file has of it. */
function packagesOf(lock: Lock, name: string, seen = new Map<string, string>()): Map<string, string> {
  const entry = lock.packages[`node_modules/${name}`];
  if (!entry || seen.has(name)) return seen;
  seen.set(name, entry.integrity ?? '');
  for (const other of Object.keys(entry.dependencies ?? {})) packagesOf(lock, other, seen);
  return seen;
}

const nameOfPackage = (wanted: string): string =>
  wanted
    .split('/')
    .slice(0, wanted.startsWith('@') ? 2 : 1)
    .join('/');

/**
 * Everything a file rests on: the file, all it imports, and all those import; the data they name; their packages as the
 * lock file has them; the engine that reckons.
 * @returns each with the text that stands for it, in order of their names
 * @example restsOn(treeAt('.'), 'src/core/choosing/model.test.ts').get('package jstat') // 'sha512-…'
 */
export function restsOn(tree: Tree, file: string): ReadonlyMap<string, string> {
  const found = new Map<string, string>([['engine', process.versions.v8]]);
  const lock = JSON.parse(tree.read('package-lock.json')) as Lock;
  const follow = (one: string): void => {
    if (found.has(one)) return;
    const text = tree.read(one);
    found.set(one, text);
    for (const { fileName } of ts.preProcessFile(text, true, true).importedFiles) {
      const next = fileOf(tree, one, fileName);
      if (next) follow(next);
      else for (const [name, hash] of packagesOf(lock, nameOfPackage(fileName))) found.set(`package ${name}`, hash);
    }
    for (const data of dataNamedIn(tree, text)) found.set(data, found.get(data) ?? tree.read(data));
  };
  follow(file);
  return new Map([...found].sort(([a], [b]) => (a < b ? -1 : 1)));
}

/** One key for all of it: it is another one where anything is. */
export function keyOf(inputs: ReadonlyMap<string, string>): string {
  const hash = createHash('sha256');
  for (const [name, text] of inputs) hash.update(name).update('\0').update(text).update('\0');
  return hash.digest('hex');
}

/** What is to be proved, part by part. Results are plain data, as JSON has it. */
interface Wanted<Result> {
  /** What the kept results are called. */
  readonly name: string;
  readonly parts: readonly string[];
  readonly prove: (part: string) => Result | Promise<Result>;
}

/** Where a proof is kept, what it rests on, and which parts are proved all the same. */
interface Place {
  /** The file results are kept in. */
  readonly file: string;
  readonly key: string;
  /** Chooses the parts that are proved afresh. */
  readonly seed: number;
  /** Proves every part afresh. */
  readonly all: boolean;
  /** Whether new results are written. */
  readonly write: boolean;
}

export interface KeptProof<Result> {
  /** What came of a part: as kept, or proved now. Throws where what is kept is not what comes out. */
  of(part: string): Promise<Result>;
  /** Which parts are proved in this run. */
  readonly afresh: readonly string[];
  /** Why. */
  readonly why: string;
}

interface Kept<Result> {
  readonly key: string;
  readonly results: Readonly<Record<string, Result>>;
}

const readKept = <Result>(file: string): Kept<Result> | null =>
  existsSync(file) ? (JSON.parse(readFileSync(file, 'utf8')) as Kept<Result>) : null;

/** A part a line: a change is seen where it is. */
const textOf = ({ key, results }: Kept<unknown>): string =>
  `{\n"key": ${JSON.stringify(key)},\n"results": {\n${Object.entries(results)
    .map(([part, result]) => `${JSON.stringify(part)}: ${JSON.stringify(result)}`)
    .join(',\n')}\n}\n}\n`;

/**
 * A proof whose results are kept under the key of everything they rest on. Where the key is another, all of it is
 * proved in this run; where it is the same, what is not kept yet and a random twentieth, which has to come out as it
 * is kept.
 */
export function keptProof<Result>({ name, parts, prove }: Wanted<Result>, place: Place): KeptProof<Result> {
  const kept = readKept<Result>(place.file);
  const holds = kept?.key === place.key;
  const had = new Map(holds ? Object.entries(kept.results) : []);
  const some = new Set(shuffle(parts, seeded(place.seed)).slice(0, Math.ceil(parts.length * SHARE)));
  const afresh = new Set(parts.filter((part) => place.all || some.has(part) || !had.has(part)));
  const proved = new Map<string, Result>();
  const write = (): void => {
    const all = parts.map((part) => [part, proved.has(part) ? proved.get(part) : had.get(part)] as const);
    mkdirSync(path.dirname(place.file), { recursive: true });
    writeFileSync(place.file, textOf({ key: place.key, results: Object.fromEntries(all) }));
  };
  const once = async (part: string): Promise<Result> => {
    const result = JSON.parse(JSON.stringify(await prove(part))) as Result;
    if (had.has(part) && !isDeepStrictEqual(result, had.get(part)))
      throw new Error(`${name}: what is kept of “${part}” is not what comes out of it now (seed ${place.seed}).`);
    proved.set(part, result);
    if (place.write && proved.size === afresh.size && parts.some((p) => !had.has(p))) write();
    return result;
  };
  const asked = new Map<string, Promise<Result>>();
  const of = (part: string): Promise<Result> => {
    if (had.has(part) && !afresh.has(part)) return Promise.resolve(had.get(part) as Result);
    if (!asked.has(part)) asked.set(part, once(part));
    return asked.get(part) as Promise<Result>;
  };
  return { of, afresh: [...afresh], why: holds ? `seed ${place.seed}` : 'what it rests on has changed' };
}

/** The seed of this run: `SEED`, or any. */
const SEED = Number(process.env.SEED ?? Math.floor(Math.random() * 1e6));

/**
 * The kept proof of a test file of this tree, in `proofs/`. New results are written where somebody can keep them, and
 * not where a clean checkout is tried.
 * @param test the test's path from the root: what it imports is what the proof rests on
 */
export function proofOf<Result>(test: string, wanted: Wanted<Result>): KeptProof<Result> {
  const proof = keptProof(wanted, {
    file: path.join('proofs', `${wanted.name}.json`),
    key: keyOf(restsOn(treeAt('.'), test)),
    seed: SEED,
    all: process.env.DEEP === '1',
    write: !process.env.CI,
  });
  console.log(`${wanted.name}: ${proof.afresh.length} of ${wanted.parts.length} proved in this run, ${proof.why}`);
  return proof;
}
