import ts from 'typescript';

/** A sentence in the source: where it stands, and how it reads with its slots in braces. */
export interface Written {
  readonly line: number;
  /** The table and key of a text file, or null elsewhere. */
  readonly name: string | null;
  readonly text: string;
}

/** Attributes that nobody reads. */
const ATTRIBUTES = new Set(
  'className href id name type value role key d viewBox action method htmlFor src rel lang autoComplete inputMode form \
fill stroke transform points variant tone size side align defaultValue pattern accept list style'.split(' '),
);
/** Calls whose strings are for machines. */
const CALLS =
  /(^|\.)(format|querySelector|getItem|setItem|clsx|replace|sure|includes|startsWith|endsWith|split|join|test)$/;
/** Styles, addresses, statements of the database, patterns of dates, directives. */
const MACHINE = [
  /calc\(|max\(|min\(|minmax\(|translate|@media|localStorage|UTF-8''|json_|application\/|text\/|https?:/,
  /^(SELECT|INSERT|UPDATE|DELETE|PRAGMA|WHERE|CREATE|ALTER|DROP)\b|\bFROM\b| IN \(:|^\s*\(?SELECT\b/,
  /^%s|^Problem$|^lateral approximant$|^attachment; |^\/[a-z]|^use (client|server)$|^[dEM]+ |^[a-z]+, a$/,
  /^bouncy-echo/,
  /(^| )(flex|grid|block|inline|hidden|sr-only|relative|absolute|sticky|plain|action|quiet|truncate|contents)( |$)/,
  /(^| )!?-?(text|bg|p|px|py|m|mx|my|mt|mb|ml|mr|gap|w|h|min|max|border|rounded|font|items|size)-/,
  /(^| )(print|hover|sm|md|lg):/,
];
/** Sounds of the phonetic alphabet with spaces between them. */
const SOUNDS = /^(\S{1,2} )+\S{1,2}$/;

const plain = (n: ts.TemplateExpression): string =>
  n.head.text + n.templateSpans.map((s) => `{${lastName(s.expression)}}${s.literal.text}`).join('');

/** What a slot is called. */
function lastName(n: ts.Expression): string {
  if (ts.isIdentifier(n)) return n.text;
  if (ts.isPropertyAccessExpression(n)) return n.name.text;
  return n.getText().replace(/\s+/g, ' ').replace(/[{}]/g, '');
}

/** What a node says, or undefined where it is no text. */
function saying(n: ts.Node): string | undefined {
  if (ts.isJsxText(n)) return n.text;
  if (ts.isStringLiteral(n) || ts.isNoSubstitutionTemplateLiteral(n)) return n.text;
  return ts.isTemplateExpression(n) ? plain(n) : undefined;
}

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
  if (ts.isPropertyAssignment(parent) && (parent.name === n || ATTRIBUTES.has(parent.name.getText()))) return true;
  if (ts.isBinaryExpression(parent) && /^[=!]==$/.test(parent.operatorToken.getText())) return true;
  return isInMachine(parent);
}

function isInMachine(from: ts.Node): boolean {
  for (let at = from; !ts.isStatement(at) && !ts.isJsxElement(at) && !ts.isJsxFragment(at); at = at.parent) {
    if (ts.isJsxAttribute(at) && ATTRIBUTES.has(at.name.getText())) return true;
    if (ts.isCallExpression(at) && CALLS.test(at.expression.getText())) return true;
    // What only we would ever see: an invariant that broke.
    if (ts.isNewExpression(at) && /^(Error|RegExp|URL)$/.test(at.expression.getText())) return true;
    if (ts.isSourceFile(at.parent)) return false;
  }
  return false;
}

/** The table and key under which a sentence stands in a text file. */
function nameOf(n: ts.Node): string | null {
  let key = '';
  for (let at = n; !ts.isSourceFile(at); at = at.parent) {
    if (ts.isPropertyAssignment(at)) key = at.name.getText();
    if (ts.isVariableDeclaration(at)) return key ? `${at.name.getText()}.${key}` : at.name.getText();
  }
  return null;
}

/**
 * The sentences of a file that somebody reads.
 * @param file its name, which tells pages from plain code
 * @example sentencesIn("const a = 'No one matches.';", 'a.ts') // [{ line: 1, name: 'a', text: 'No one matches.' }]
 */
export function sentencesIn(source: string, file: string): Written[] {
  const kind = file.endsWith('x') ? ts.ScriptKind.TSX : ts.ScriptKind.TS;
  const tree = ts.createSourceFile(file, source, ts.ScriptTarget.Latest, true, kind);
  const found: Written[] = [];
  const visit = (n: ts.Node): void => {
    const text = saying(n)?.replace(/\s+/g, ' ').trim();
    const read = text !== undefined && isRead(text, ts.isJsxText(n)) && (ts.isJsxText(n) || !isForMachine(n));
    if (read) found.push({ line: tree.getLineAndCharacterOfPosition(n.getStart()).line + 1, name: nameOf(n), text });
    // What stands in the slots of a sentence is read with it.
    if (!read) ts.forEachChild(n, visit);
  };
  visit(tree);
  return found;
}
