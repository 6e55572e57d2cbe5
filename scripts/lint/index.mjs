// Rules of this house that no package has.
import { builtinRules } from 'eslint/use-at-your-own-risk';

/** Blocks that only hold tests together. */
const HOLDERS = new Set(['describe', 'onStage']);

/** The name of what is called: describe for `describe(…)`, `describe.each(…)(…)` and `describe.skipIf(…)(…)`. */
function nameOf(callee) {
  if (callee.type === 'Identifier') return callee.name;
  if (callee.type === 'MemberExpression') return nameOf(callee.object);
  return callee.type === 'CallExpression' ? nameOf(callee.callee) : undefined;
}

/** True for the function of a describe block. */
const holdsTests = ({ parent }) => parent?.type === 'CallExpression' && HOLDERS.has(nameOf(parent.callee));

const base = builtinRules.get('max-lines-per-function');

/** The rule of the linter, but a describe block does not count: each test in it does. */
const maxLinesPerFunction = {
  meta: base.meta,
  create: (context) =>
    base.create(
      Object.create(context, {
        report: {
          value: (found) => {
            if (!holdsTests(found.node)) context.report(found);
          },
        },
      }),
    ),
};

/** Fields of an interface or an object type, one a line from the fourth on: a little dictionary. */
const fieldsApart = {
  meta: {
    type: 'layout',
    fixable: 'whitespace',
    schema: [],
    messages: { apart: 'More than three fields stand one a line.' },
  },
  create(context) {
    const check = (node, fields) => {
      if (fields.length <= 3 || node.loc.end.line - node.loc.start.line >= fields.length) return;
      context.report({ node, messageId: 'apart', fix: (fixer) => fixer.insertTextBefore(fields[0], '\n') });
    };
    return {
      TSInterfaceBody: (node) => check(node, node.body),
      TSTypeLiteral: (node) => check(node, node.members),
    };
  },
};

const plugin = { rules: { 'max-lines-per-function': maxLinesPerFunction, 'fields-apart': fieldsApart } };

export default plugin;
