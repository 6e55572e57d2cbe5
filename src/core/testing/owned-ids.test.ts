import { readdirSync } from 'node:fs';
import path from 'node:path';
import ts from 'typescript';
import { expect, test } from 'vitest';
import { TASKS } from '../games';
import { FAMILIES } from '../games/families';
import { ACCENT_IDS } from '../phonology/accents';
import { branchesOn } from './owned-ids';

/** Files that own the ids they speak of. */
const OWNERS = ['src/core/games/families/', 'src/core/phonology/accents/'];
const ACCENTS = new Set<string>(ACCENT_IDS);
const TASK_IDS = TASKS.map((t) => t.id);
const OTHERS = [...FAMILIES.map((f) => f.id), ...TASKS.flatMap((t) => t.steps.map((s) => s.id))];
const SOUGHT = {
  ids: new Set([...ACCENTS, ...TASK_IDS, ...OTHERS]),
  listed: ACCENTS,
  everyday: new Set(OTHERS.filter((id) => /^([a-z]+|\d+)$/.test(id) && !TASK_IDS.includes(id))),
};

const sources = (folder: string): string[] =>
  readdirSync(folder, { withFileTypes: true }).flatMap((entry) => {
    const at = path.posix.join(folder, entry.name);
    if (entry.isDirectory()) return entry.name === 'testing' ? [] : sources(at);
    return /\.tsx?$/.test(at) && !/\.test\.ts$/.test(at) ? [at] : [];
  });

const { options } = ts.parseJsonConfigFileContent(
  ts.readConfigFile('tsconfig.json', (file) => ts.sys.readFile(file)).config,
  ts.sys,
  process.cwd(),
);

test('no code outside the file that owns it asks for a task, a step, a family or an accent by its id', () => {
  const files = sources('src').filter((file) => !OWNERS.some((owner) => file.startsWith(owner)));
  const program = ts.createProgram(sources('src'), { ...options, noEmit: true, incremental: false });
  const found = branchesOn(program, files, SOUGHT);
  expect(found.map(({ file, line, id }) => `${path.relative(process.cwd(), file)}:${line} ${id}`)).toEqual([]);
});

// A check that cannot fail is none: each way of asking is found, and what only looks like one is not.
test('each way of asking is found', () => {
  const text = `
    declare const task: { readonly id: string; readonly place: 'first' | 'last' };
    declare const accent: 'scottish' | 'general-american';
    export const a = task.id === 'blending';
    export const b = 'chain' !== task.id;
    export const c = new Set<string>(['segmenting', 'split']);
    export const d = task.id.endsWith('odd');
    export const e = ['clap', 'join'].includes(task.id);
    export const f: Record<string, number> = { 'rhyme-pairs': 2 };
    export const g = accent === 'scottish';
    export function h(): number { switch (task.id) { case 'hunt': return 1; default: return 2; } }
    export const i = new Map([['sort', 1]]);
    export const j = (step: { id: string }) => step.id === 'ending' || step.id === '3';
    export const fine = (key: string) => key === '3' || task.place === 'first' || [task.id].length === 1;
    export const data = [['blending', '3'], ['swap', 'first']];
    export const named: Record<'swap' | 'add', number> = { swap: 1, add: 2 };
  `;
  const host = ts.createCompilerHost({});
  const { getSourceFile } = host;
  host.getSourceFile = (name, target) =>
    name === 'asks.ts' ? ts.createSourceFile(name, text, ts.ScriptTarget.ES2022, true) : getSourceFile(name, target);
  const program = ts.createProgram(['asks.ts'], { strict: true, target: ts.ScriptTarget.ES2022 }, host);
  expect(branchesOn(program, ['asks.ts'], SOUGHT).map(({ line, id }) => `${line} ${id}`)).toEqual([
    '4 blending',
    '5 chain',
    '6 segmenting',
    '6 split',
    expect.stringMatching(/^7 .*odd$/),
    '8 clap',
    '8 join',
    '9 rhyme-pairs',
    '10 scottish',
    '11 hunt',
    '12 sort',
    '13 ending',
    '13 3',
  ]);
});
