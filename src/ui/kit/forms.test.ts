import { readdirSync, readFileSync } from 'node:fs';
import ts from 'typescript';
import { expect, test } from 'vitest';

// What no browser test can show for screens that are still to come: read from the source.

const SCREENS = readdirSync('src/ui', { recursive: true, encoding: 'utf8' })
  .filter((file) => file.endsWith('.tsx') && !file.includes('kit/page/'))
  .map((file) => `src/ui/${file}`);

/** Every node of a file. */
function nodesOf(file: string, text = readFileSync(file, 'utf8')): ts.Node[] {
  const all: ts.Node[] = [];
  const visit = (node: ts.Node): void => {
    all.push(node);
    ts.forEachChild(node, visit);
  };
  visit(ts.createSourceFile(file, text, ts.ScriptTarget.Latest, true, ts.ScriptKind.TSX));
  return all;
}

/** Fields that nobody types into. */
const NOT_TYPED = /type="(checkbox|radio|hidden|file|search)"/;

const fieldsIn = (nodes: readonly ts.Node[]): ts.JsxSelfClosingElement[] =>
  nodes
    .filter(ts.isJsxSelfClosingElement)
    .filter((n) => ['input', 'textarea'].includes(n.tagName.getText()) && !NOT_TYPED.test(n.getText()));

/** Kept as it is typed, by other means. */
const KEPT_OTHERWISE: Readonly<Record<string, string>> = {
  'src/ui/plan/plan-screen.tsx': 'a plan is kept change by change',
  'src/ui/play/dialogs/device-fields.tsx': 'kept on the device at once',
  'src/ui/play/dialogs/index.tsx': 'a note is part of the run, which outlives a reload',
  'src/ui/look-back/paper-screen.tsx': 'what is typed from paper is kept on the device',
  'src/ui/settings/put-back.tsx': 'a key that opens backups is kept nowhere',
  'src/ui/kit/initials.tsx': 'two letters beside a key that is kept nowhere',
};

const KEEPS = /\buse(KeptForm|KeptText|Saving)\(/;
const isKept = (file: string, text: string): boolean => KEEPS.test(text) || file in KEPT_OTHERWISE;

/** Acts of the server that are awaited, and whose failing to arrive nobody answers. */
function uncaught(nodes: readonly ts.Node[]): string[] {
  const acts = nodes
    .filter(ts.isImportDeclaration)
    .filter((n) => n.moduleSpecifier.getText().includes('@/actions/'))
    .flatMap((n) => [...n.getText().matchAll(/(?<!type )\b([a-z]\w+)\b(?=[,\s}])/g)].map((m) => m[1] ?? ''));
  return nodes
    .filter(ts.isAwaitExpression)
    .map((n) => n.expression)
    .filter(ts.isCallExpression)
    .map((call) => call.expression.getText())
    .filter((name) => acts.includes(name));
}

test('what is typed into is kept in every file of the screens', () => {
  const typed = SCREENS.filter((file) => fieldsIn(nodesOf(file)).length > 0);
  expect(typed.length).toBeGreaterThan(15);
  expect(typed.filter((file) => !isKept(file, readFileSync(file, 'utf8')))).toEqual([]);
});

test('whoever asks the server for something says what it means when it is away', () => {
  for (const file of SCREENS) expect(uncaught(nodesOf(file)), file).toEqual([]);
});

test('a spoilt form is found out', () => {
  const spoilt = `import { keepName } from '@/actions/x';
    export function F() { const keep = async () => { await keepName(name); }; return <input value={name} />; }`;
  const nodes = nodesOf('spoilt.tsx', spoilt);
  expect(fieldsIn(nodes)).toHaveLength(1);
  expect(isKept('spoilt.tsx', spoilt)).toBe(false);
  expect(uncaught(nodes)).toEqual(['keepName']);
});
