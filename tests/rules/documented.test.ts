import { readdirSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import ts from 'typescript'

/** Where types that others build on stand. */
const ROOMS = ['core', 'contract', 'devices', 'reference', 'server', 'app']

/** Tables whose rows all have the same fields, told at their head. */
const TABLES = new Set(['Routes'])

const files = ROOMS.flatMap(room => readdirSync(room, { recursive: true, encoding: 'utf8' }).map(file => join(room, file)))
  .filter(file => file.endsWith('.ts') && !file.endsWith('.test.ts') && !file.endsWith('.d.ts'))

const isExported = (node: ts.Declaration) => (ts.getCombinedModifierFlags(node) & ts.ModifierFlags.Export) !== 0

/** Fields of exported types without a word of what they are, as `file:line type.field`. */
function bare(file: string, text: string): string[] {
  const source = ts.createSourceFile(file, text, ts.ScriptTarget.Latest, true)
  const found: string[] = []
  const line = (at: number) => source.getLineAndCharacterOfPosition(at).line
  const isTold = (node: ts.Node) => ts.getJSDocCommentsAndTags(node).length > 0
  /** Few fields on one line are told by the comment of what they belong to. */
  const isShort = (node: ts.Node) => ts.isTypeLiteralNode(node) && line(node.getStart()) === line(node.end)
  const isToldPlace = (node: ts.Node) => (ts.isPropertySignature(node) || ts.isTypeAliasDeclaration(node)) && isTold(node)
  const visit = (node: ts.Node, type: string) => {
    if (isShort(node) && ts.findAncestor(node, isToldPlace)) return
    if (ts.isPropertySignature(node) && !isTold(node) && !isTag(node))
      found.push(`${file}:${line(node.getStart()) + 1} ${type}.${node.name.getText()}`)
    // What a function takes is told by its own comment.
    if (!ts.isFunctionTypeNode(node)) ts.forEachChild(node, child => visit(child, type))
  }
  for (const node of source.statements) {
    const isType = ts.isInterfaceDeclaration(node) || ts.isTypeAliasDeclaration(node)
    if (isType && isExported(node) && !TABLES.has(node.name.text)) visit(node, node.name.text)
  }
  return found
}
/** A field that only says which of several a value is: `kind: 'coat'`. */
const isTag = (field: ts.PropertySignature) => field.type !== undefined && ts.isLiteralTypeNode(field.type)

it('every field of an exported type says what it is', () => {
  expect(files.length).toBeGreaterThan(200)
  expect(files.flatMap(file => bare(file, readFileSync(file, 'utf8')))).toEqual([])
})
it('the rule sees a bare field, and passes over one that is told or only names a kind', () => {
  const text = `export interface A {
    bare: number
    /** mm. */
    told: number
    kind: 'a'
  }
  /** Width and height, mm. */
  export type Size = { width: number, height: number }
  interface Own { bare: number }`
  expect(bare('a.ts', text)).toEqual(['a.ts:2 A.bare'])
})
