import ts from 'typescript';

/** A sentence in the source: where it stands, and how it reads with its slots in braces. */
export interface Written {
  readonly line: number;
  readonly text: string;
}

/** Attributes that nobody reads. */
const ATTRIBUTES = new Set(
  'className href id type role key d viewBox action method htmlFor src rel lang autoComplete inputMode form \
fill stroke transform points variant tone size side align defaultValue pattern accept list style'.split(' '),
);
/** Fields of an object that nobody reads. */
const FIELDS = new Set('className href id type role key d method src lang rel pattern accept'.split(' '));
/** Calls whose strings are for machines. */
const CALLS =
  /(^|\.)(format|querySelector|getItem|setItem|clsx|replace|sure|includes|startsWith|endsWith|split|join|test)$/;
/** Styles, addresses, statements of the database, patterns of dates, directives. */
const MACHINE = [
  /calc\(|max\(|min\(|minmax\(|translate|@media|localStorage|UTF-8''|json_|application\/|text\/|https?:/,
  /^(SELECT|INSERT|UPDATE|DELETE|PRAGMA|BEGIN|VACUUM|WHERE|CREATE|ALTER|DROP)\b|\bFROM\b| IN \(:|^\s*\(?SELECT\b/,
  /^%s|^Problem$|^lateral approximant$|^attachment; |^\/[a-z]|^use (client|server)$|^[dEM]+ |^[a-z]+, a$/,
  /^bouncy-echo/,
  /(^| )(flex|grid|block|inline|hidden|sr-only|relative|absolute|sticky|plain|action|quiet|truncate|contents)( |$)/,
  /(^| )!?-?(text|bg|p|px|py|m|mx|my|mt|mb|ml|mr|gap|w|h|min|max|border|rounded|font|items|size)-/,
  /(^| )(print|hover|sm|md|lg):/,
];
/** Sounds of the phonetic alphabet with spaces between them. */
const SOUNDS = /^(\S{1,2} )+\S{1,2}$/;

const slot = (n: ts.Expression): string => `{${lastName(n)}}`;

const plain = (n: ts.TemplateExpression): string =>
  n.head.text + n.templateSpans.map((s) => `${slot(s.expression)}${s.literal.text}`).join('');

/** What a slot is called. */
function lastName(n: ts.Expression): string {
  if (ts.isIdentifier(n)) return n.text;
  if (ts.isPropertyAccessExpression(n)) return n.name.text;
  return n.getText().replace(/\s+/g, ' ').replace(/[{}]/g, '');
}

/** What a node says, or undefined where it is no text. */
function saying(n: ts.Node): string | undefined {
  if (ts.isStringLiteral(n) || ts.isNoSubstitutionTemplateLiteral(n)) return n.text;
  if (ts.isTemplateExpression(n)) return plain(n);
  if (!ts.isBinaryExpression(n) || n.operatorToken.kind !== ts.SyntaxKind.PlusToken) return undefined;
  // A long sentence stands on more than one line.
  const [left, right] = [saying(n.left), saying(n.right)];
  return left === undefined || right === undefined ? undefined : left + right;
}

/** What stands between two tags of a page: text with its slots, each with its place. */
function runsOf(children: readonly ts.JsxChild[]): { readonly at: ts.Node; readonly text: string }[] {
  const runs: { at: ts.Node; text: string }[] = [];
  let run: { at: ts.Node; text: string } | null = null;
  for (const child of children) {
    const text = ts.isJsxText(child) ? shownText(child.text) : inBraces(child);
    if (text === undefined) run = null;
    else if (run) run.text += text;
    else if (text.trim()) runs.push((run = { at: child, text }));
  }
  return runs.filter(({ text }) => isRead(text, true));
}

/** Lines of text in a page are joined by a space; what is blank around them is not shown. */
const shownText = (text: string): string =>
  text
    .split('\n')
    .map((line, i, all) => line.slice(i ? line.search(/\S|$/) : 0).replace(i < all.length - 1 ? /\s+$/ : /$^/, ''))
    .filter(Boolean)
    .join(' ');

/** What braces in a page say: a slot of the sentence around them, or nothing where whole tags stand in them. */
function inBraces(child: ts.JsxChild): string | undefined {
  if (!ts.isJsxExpression(child)) return undefined;
  if (!child.expression) return '';
  return saying(child.expression) ?? (hasTags(child.expression) ? undefined : slot(child.expression));
}

const hasTags = (n: ts.Node): boolean =>
  ts.isJsxElement(n) || ts.isJsxSelfClosingElement(n) || ts.isJsxFragment(n) || Boolean(ts.forEachChild(n, hasTags));

/** Words that somebody reads: a sentence, or a name with a capital; in a page any word at all. */
function isRead(text: string, inPage: boolean): boolean {
  if (MACHINE.some((kind) => kind.test(text)) || SOUNDS.test(text)) return false;
  const words = text.replace(/\{[^}]*\}/g, ' ');
  if (inPage) return /[A-Za-z]{2}/.test(words);
  return /^[“(,;:.… ]*[A-Z][a-z’]/.test(words) || /[a-z,’”] +[a-z]{2}/i.test(words.trim());
}

/** True where the parent shows that a string is for the machine. */
function isForMachine(n: ts.Node): boolean {
  const { parent } = n;
  if (ts.isImportDeclaration(parent) || ts.isExportDeclaration(parent) || ts.isLiteralTypeNode(parent)) return true;
  if (ts.isExpressionStatement(parent) || ts.isElementAccessExpression(parent) || ts.isCaseClause(parent)) return true;
  if (ts.isPropertyAssignment(parent) && (parent.name === n || FIELDS.has(parent.name.getText()))) return true;
  if (ts.isBinaryExpression(parent) && /^[=!]==$/.test(parent.operatorToken.getText())) return true;
  return isInMachine(n);
}

const isPage = (n: ts.Node): boolean => ts.isJsxElement(n) || ts.isJsxFragment(n);

function isInMachine(n: ts.Node): boolean {
  for (let [from, at] = [n, n.parent]; !ts.isStatement(at) && !isPage(at); [from, at] = [at, at.parent]) {
    if (ts.isJsxAttribute(at) && ATTRIBUTES.has(at.name.getText())) return true;
    if (ts.isCallExpression(at) && at.expression !== from && CALLS.test(at.expression.getText())) return true;
    // What only we would ever see: an invariant that broke.
    if (ts.isNewExpression(at) && /^(Error|RegExp|URL)$/.test(at.expression.getText())) return true;
    if (ts.isSourceFile(at.parent)) return false;
  }
  return false;
}

/**
 * The sentences of a file that somebody reads.
 * @param file its name, which tells pages from plain code
 * @example sentencesIn("const a = 'No one matches.';", 'a.ts') // [{ line: 1, text: 'No one matches.' }]
 */
export function sentencesIn(source: string, file: string): Written[] {
  const kind = file.endsWith('x') ? ts.ScriptKind.TSX : ts.ScriptKind.TS;
  const tree = ts.createSourceFile(file, source, ts.ScriptTarget.Latest, true, kind);
  const found: Written[] = [];
  const keep = (at: ts.Node, text: string): void => {
    const line = tree.getLineAndCharacterOfPosition(at.getStart()).line + 1;
    found.push({ line, text: text.replace(/\s+/g, ' ').trim() });
  };
  const visit = (n: ts.Node): void => {
    if (ts.isJsxElement(n) || ts.isJsxFragment(n)) runsOf(n.children).forEach(({ at, text }) => keep(at, text));
    const text = saying(n);
    const read = text !== undefined && isRead(text, false) && !isForMachine(n);
    if (read) keep(n, text);
    ts.forEachChild(n, read ? slotsOf : visit);
  };
  /** What stands in the slots of a sentence is read with it, but for sentences of their own. */
  const slotsOf = (n: ts.Node): void => {
    if (ts.isTemplateSpan(n)) visit(n.expression);
    else if (saying(n) !== undefined) ts.forEachChild(n, slotsOf);
  };
  visit(tree);
  return found;
}
