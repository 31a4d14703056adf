/*
 * Readers meet roles, not kinds: nobody asks a part, a base or a stitch which kind it is, since the next one would be forgotten there.
 * What only one kind has to say stands in its own file, and what others need of it is a trait of its declaration.
 */

const TOLD_APART_BY = ['form', 'kind']

const nameOf = node =>
  node?.type === 'Identifier' ? node.name : node?.type === 'MemberExpression' && !node.computed ? node.property.name : undefined
/** A floor is told apart by its shape. */
const isShapeOfFloor = node => node?.type === 'MemberExpression' && nameOf(node) === 'shape' && nameOf(node.object) === 'floor'
const tellsApart = node => TOLD_APART_BY.includes(nameOf(node)) || isShapeOfFloor(node)
const isWord = node => node?.type === 'Literal' && typeof node.value === 'string'
/** A constant that a property is compared with, which stands for a word. */
const isConstant = (node, asked) => node?.type === 'Identifier' && /^[A-Z][A-Z_]+$/.test(node.name) && asked.type === 'MemberExpression'
const isOne = (asked, word) => tellsApart(asked) && (isWord(word) || isConstant(word, asked))

/** No part, base or stitch is asked which kind it is. */
export const roles = {
  meta: { type: 'problem', schema: [] },
  create(context) {
    const report = node =>
      context.report({
        node,
        message: 'Ask for what it has or does, not for which kind it is: a trait of its declaration (docs/adding.md).',
      })
    return {
      BinaryExpression(node) {
        if (!/^[!=]==?$/.test(node.operator)) return
        if (isOne(node.left, node.right) || isOne(node.right, node.left)) report(node)
      },
      SwitchStatement(node) {
        if (tellsApart(node.discriminant)) report(node)
      },
      CallExpression({ callee, arguments: [asked] }) {
        if (
          callee.type === 'MemberExpression'
          && nameOf(callee) === 'includes'
          && callee.object.type === 'ArrayExpression'
          && tellsApart(asked)
        )
          report(callee)
      },
    }
  },
}
