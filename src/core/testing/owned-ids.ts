import ts from 'typescript';

/** A place where code asks for an id by name. */
export interface Branch {
  readonly file: string;
  /** Counted from 1. */
  readonly line: number;
  readonly id: string;
}

const ASKS: ReadonlySet<string> = new Set(['includes', 'has', 'indexOf', 'startsWith', 'endsWith']);
const EQUALS: ReadonlySet<ts.SyntaxKind> = new Set([
  ts.SyntaxKind.EqualsEqualsEqualsToken,
  ts.SyntaxKind.ExclamationEqualsEqualsToken,
  ts.SyntaxKind.EqualsEqualsToken,
  ts.SyntaxKind.ExclamationEqualsToken,
]);

/** What is looked for. */
interface Sought {
  readonly ids: ReadonlySet<string>;
  /** Those of them whose type is a list of ids: accents. */
  readonly listed: ReadonlySet<string>;
  /** Those of them that are numbers and words of every day. */
  readonly everyday: ReadonlySet<string>;
}

/** What the end of a name says that holds an id: `step.id`, `round.task`, `stepId`. */
const SPEAKS = /(step|task|game|family|ladder|rung|accent|id)$/i;

/**
 * Every place in some files where what runs hangs on one of the ids: it is compared, looked for in a list or as part of
 * a name, a case of a switch, or the key of a table. A word that only looks like an id is none: where the type of what
 * it is compared with is a list of other words (`place === 'first'`), the place is no id; nor where an id that is a
 * word of every day stands beside what speaks of no step, game or family (`key === '1'`).
 *
 * @example branchesOn(program, ['game.ts'], { ids: new Set(['blending']), listed: new Set(), everyday: new Set() })
 */
export function branchesOn(program: ts.Program, files: readonly string[], { ids, listed, everyday }: Sought): Branch[] {
  const checker = program.getTypeChecker();
  const out: Branch[] = [];

  /** True where the type is any string, or a list of ids that are owned. */
  const mayBeId = (type: ts.Type): boolean => {
    const parts = type.isUnion() ? type.types : [type];
    return parts.some(
      (part) => (part.flags & ts.TypeFlags.String) !== 0 || (part.isStringLiteral() && listed.has(part.value)),
    );
  };
  const elementOf = (type: ts.Type): ts.Type | undefined =>
    checker.getIndexTypeOfType(type, ts.IndexKind.Number) ?? checker.getTypeArguments(type as ts.TypeReference)[0];

  const note = (node: ts.Node, id: string): void => {
    const source = node.getSourceFile();
    out.push({ file: source.fileName, line: source.getLineAndCharacterOfPosition(node.getStart()).line + 1, id });
  };
  const literal = (node: ts.Node): string | undefined =>
    ts.isStringLiteralLike(node) && ids.has(node.text) ? node.text : undefined;
  /** @param beside what it is compared with, and looked for in */
  const noteIf = (node: ts.Node, type: ts.Type | undefined, beside: ts.Node): void => {
    const id = literal(node);
    if (id === undefined || !type || !mayBeId(type)) return;
    if (!everyday.has(id) || SPEAKS.test(beside.getText())) note(node, id);
  };

  const compared = (node: ts.BinaryExpression): void => {
    noteIf(node.left, checker.getTypeAtLocation(node.right), node.right);
    noteIf(node.right, checker.getTypeAtLocation(node.left), node.left);
  };
  const asked = (node: ts.CallExpression, { expression, name }: ts.PropertyAccessExpression): void => {
    const [sought] = node.arguments;
    const among = checker.getTypeAtLocation(expression);
    if (!sought) return;
    if (name.text === 'startsWith' || name.text === 'endsWith') {
      const part = ts.isStringLiteralLike(sought) ? sought.text : '';
      const whole = [...ids].find((id) => (name.text === 'startsWith' ? id.startsWith(part) : id.endsWith(part)));
      if (part.length > 2 && whole !== undefined) note(sought, whole);
      return;
    }
    noteIf(sought, elementOf(among), expression);
    // A list written out on the spot, in which something is looked for.
    if (ts.isArrayLiteralExpression(expression))
      for (const element of expression.elements) noteIf(element, checker.getTypeAtLocation(sought), sought);
  };
  const gathered = (node: ts.NewExpression): void => {
    const [list] = node.arguments ?? [];
    if (!ts.isIdentifier(node.expression) || !list || !ts.isArrayLiteralExpression(list)) return;
    if (node.expression.text !== 'Set' && node.expression.text !== 'Map') return;
    const of = elementOf(checker.getTypeAtLocation(node));
    for (const element of list.elements)
      noteIf(ts.isArrayLiteralExpression(element) ? (element.elements[0] ?? element) : element, of, node.parent);
  };
  const keyed = (node: ts.ObjectLiteralExpression): void => {
    const type = checker.getContextualType(node);
    if (!type || !checker.getIndexInfoOfType(type, ts.IndexKind.String)) return;
    for (const property of node.properties) {
      const { name } = property;
      if (!name || !(ts.isIdentifier(name) || ts.isStringLiteral(name))) continue;
      if (ids.has(name.text) && !everyday.has(name.text)) note(name, name.text);
    }
  };
  const visit = (node: ts.Node): void => {
    if (ts.isBinaryExpression(node) && EQUALS.has(node.operatorToken.kind)) compared(node);
    else if (ts.isCaseClause(node))
      noteIf(node.expression, checker.getTypeAtLocation(node.parent.parent.expression), node.parent.parent.expression);
    else if (ts.isCallExpression(node) && ts.isPropertyAccessExpression(node.expression)) {
      if (ASKS.has(node.expression.name.text)) asked(node, node.expression);
    } else if (ts.isNewExpression(node)) gathered(node);
    else if (ts.isObjectLiteralExpression(node)) keyed(node);
    ts.forEachChild(node, visit);
  };
  for (const file of files) {
    const source = program.getSourceFile(file);
    if (source) visit(source);
  }
  return out;
}
