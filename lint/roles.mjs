/*
 * Readers meet roles, not kinds: nobody asks a part, a base or a stitch which kind it is, since the next one would be forgotten there.
 * What only one kind has to say stands in its own file, and what others need of it is a trait of its declaration.
 */

const TOLD_APART_BY = ['band', 'form', 'kind']

const nameOf = node =>
  node?.type === 'Identifier' ? node.name : node?.type === 'MemberExpression' && !node.computed ? node.property.name : undefined
const tellsApart = node => TOLD_APART_BY.includes(nameOf(node))
const isWord = node => node?.type === 'Literal' && typeof node.value === 'string'

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
        if ((tellsApart(node.left) && isWord(node.right)) || (isWord(node.left) && tellsApart(node.right))) report(node)
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
