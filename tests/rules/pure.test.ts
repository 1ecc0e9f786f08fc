import { readdirSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import ts from 'typescript'

/** What does nothing by being there: the build leaves out what a page does not use of it (`isPure` in nuxt.config.ts). */
const PURE = ['core', 'reference']

const files = PURE.flatMap(room => readdirSync(room, { recursive: true, encoding: 'utf8' }).map(file => join(room, file)))
  .filter(file => file.endsWith('.ts') && !file.endsWith('.test.ts'))

/** Statements of a file that do something as soon as it is there, or fetch a file for what that does. */
function acting(file: string, text: string): string[] {
  const source = ts.createSourceFile(file, text, ts.ScriptTarget.Latest, true)
  const isTelling = (node: ts.Statement) =>
    ts.isVariableStatement(node) || ts.isFunctionDeclaration(node) || ts.isClassDeclaration(node) || ts.isInterfaceDeclaration(node)
    || ts.isTypeAliasDeclaration(node) || ts.isExportDeclaration(node) || (ts.isImportDeclaration(node) && node.importClause !== undefined)
  return source.statements.filter(node => !isTelling(node)).map(node => `${file}: ${node.getText().slice(0, 80)}`)
}

it('no file of the core or the reference does anything by being there', () => {
  expect(files.flatMap(file => acting(file, readFileSync(file, 'utf8')))).toEqual([])
  expect(files.length).toBeGreaterThan(200)
})
it('what acts is found', () => {
  const found = (text: string) => acting('one.ts', text).length
  const acts = ['import \'./other\'', 'start()', 'for (const one of all) note(one)', 'globalThis.seen = true', 'if (is) note()']
  expect(acts.map(found)).toEqual(acts.map(() => 1))
  expect(found('import { a } from \'./a\'\nexport * from \'./b\'\nexport const c = a.map(one => one)\nfunction d() {}')).toBe(0)
})
