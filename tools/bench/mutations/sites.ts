import ts from 'typescript'

/** A place in a source where one word is exchanged: what a slip of the hand would change. */
export type Site = {
  readonly start: number
  readonly end: number
  readonly from: string
  readonly to: string
  /** 1 for the first line */
  readonly line: number
}

/** What an operator is taken for. */
const OPERATORS: Readonly<Record<string, string>> = {
  '<': '<=',
  '<=': '<',
  '>': '>=',
  '>=': '>',
  '===': '!==',
  '!==': '===',
  '&&': '||',
  '||': '&&',
  '+': '-',
  '-': '+',
  '*': '/',
  '/': '*',
}
const CALLS: Readonly<Record<string, string>> = { some: 'every', every: 'some', min: 'max', max: 'min' }

const isType = (node: ts.Node): boolean =>
  ts.isTypeNode(node) || ts.isTypeAliasDeclaration(node) || ts.isImportDeclaration(node)

/** How a node is mutated; nothing where it is left alone. */
function changeOf(node: ts.Node): { node: ts.Node; to: string } | undefined {
  if (ts.isBinaryExpression(node)) {
    const to = OPERATORS[node.operatorToken.getText()]
    // texts that are joined are words, no arithmetic
    const isText = [node.left, node.right].some(
      (side) => ts.isStringLiteralLike(side) || ts.isTemplateExpression(side),
    )
    return to && !isText ? { node: node.operatorToken, to } : undefined
  }
  if (ts.isNumericLiteral(node)) {
    const value = Number(node.text)
    return { node, to: value === 0 ? '1' : String(Number((value * 2).toPrecision(12))) }
  }
  if (node.kind === ts.SyntaxKind.TrueKeyword) return { node, to: 'false' }
  if (node.kind === ts.SyntaxKind.FalseKeyword) return { node, to: 'true' }
  if (ts.isPrefixUnaryExpression(node) && node.operator === ts.SyntaxKind.ExclamationToken)
    return { node, to: node.operand.getText() }
  if (ts.isPropertyAccessExpression(node)) {
    const to = CALLS[node.name.text]
    return to && ts.isCallExpression(node.parent) ? { node: node.name, to } : undefined
  }
  return undefined
}

/** Every place of a source where one word can be exchanged; types and imports are left alone. */
export function sitesOf(text: string): Site[] {
  const file = ts.createSourceFile('mutated.ts', text, ts.ScriptTarget.Latest, true)
  const sites: Site[] = []
  const visit = (node: ts.Node) => {
    if (isType(node)) return
    const change = changeOf(node)
    if (change) {
      const start = change.node.getStart(file)
      sites.push({
        start,
        end: change.node.getEnd(),
        from: change.node.getText(file),
        to: change.to,
        line: file.getLineAndCharacterOfPosition(start).line + 1,
      })
    }
    ts.forEachChild(node, visit)
  }
  visit(file)
  return sites
}

/** The source with one place exchanged. */
export const mutated = (text: string, { start, end, to }: Site): string =>
  text.slice(0, start) + to + text.slice(end)
