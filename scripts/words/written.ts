import { readdirSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import ts from 'typescript'

/** Words that stand in one file, in their order. */
export interface WrittenIn {
  readonly file: string
  readonly words: readonly string[]
}

// What holds no words for people: styles, addresses, queries.
const NOT_FOR_PEOPLE = new Set([
  ...['className', 'key', 'id', 'htmlFor', 'type', 'name', 'href', 'role', 'd', 'viewBox', 'rel'],
  ...['method', 'autoComplete', 'inputMode', 'src', 'accept', 'as', 'style', 'transform', 'value'],
])
const CODE =
  /^(use client|[a-z-]+:|\/|\.|@)|(^| )(flex|grid|border|text-|bg-|min-|max-|sr-only|absolute|relative|select |insert into|update |delete from|alter |create )/

/** Whether it is words, and not a key or a class: two words, or one with a large letter. */
export const isWords = (text: string): boolean =>
  /[a-z]{2}/.test(text) && (/ /.test(text.trim()) || /^[A-Z][a-z]/.test(text)) && !CODE.test(text)

/** All words for people in a source file: text between tags, strings, and templates with their places in braces. */
export function wordsIn(file: string, source: string): string[] {
  const tree = ts.createSourceFile(
    file,
    source,
    ts.ScriptTarget.Latest,
    true,
    file.endsWith('x') ? ts.ScriptKind.TSX : ts.ScriptKind.TS,
  )
  const found: string[] = []
  const add = (text: string): void => {
    const plain = text.replace(/\s+/g, ' ').trim()
    if (isWords(plain)) found.push(plain)
  }
  const visit = (node: ts.Node): void => {
    if (ts.isImportDeclaration(node) || ts.isExportDeclaration(node) || ts.isTypeNode(node)) return
    if (ts.isJsxAttribute(node) && NOT_FOR_PEOPLE.has(node.name.getText())) return
    if (ts.isJsxText(node) || ts.isStringLiteralLike(node)) add(node.text)
    if (ts.isTemplateExpression(node))
      add(node.head.text + node.templateSpans.map(({ literal }) => `{…}${literal.text}`).join(''))
    ts.forEachChild(node, visit)
  }
  visit(tree)
  return found
}

/** The words of every source file under a directory, but of tests and what they stand on. */
export function wordsUnder(root: string, directory: string): WrittenIn[] {
  return readdirSync(join(root, directory), { recursive: true, encoding: 'utf8' })
    .filter((name) => /\.tsx?$/.test(name) && !/\.(test|fixture)\./.test(name))
    .sort()
    .map((name) => join(directory, name))
    .map((file) => ({ file, words: wordsIn(file, readFileSync(join(root, file), 'utf8')) }))
    .filter(({ words }) => words.length > 0)
}
