import { execFileSync } from 'node:child_process'
import { readFileSync } from 'node:fs'

const line = (from: string) => `import { x } from '${from}'\n\nexport const y = x\n`

const refused: [string, string, RegExp][] = [
  ['core/plan/a.ts', line('../../reference'), /nothing outside itself/],
  ['core/plan/a.ts', line('#schemas'), /nothing outside itself/],
  ['core/plan/a.ts', line('vue'), /no packages/],
  ['core/plan/a.ts', line('node:fs'), /no packages/],
  ['core/plan/a.ts', line('../sanding/work'), /door/],
  ['core/plan/a.ts', 'export const now = Date.now()\n', /Date.now/],
  ['core/plan/a.ts', 'export const now = new Date()\n', /no clock/],
  ['reference/a.ts', line('../server/db/pens'), /types of core only/],
  ['schemas/a.ts', line('../app/utils/times'), /below app, server/],
  ['server/a.ts', line('../app/utils/times'), /nothing of app/],
  ['server/a.ts', line('../core/plan/make'), /door/],
  ['app/utils/a.ts', line('~~/server/db/pens'), /only what stands in the contract/],
  ['app/utils/a.ts', line('#core/plan/make'), /door/],
]
const allowed: [string, string][] = [
  ['core/plan/a.ts', line('../sanding')],
  ['app/utils/a.ts', line('#core/plan')],
  ['server/db/a.ts', line('../../core/plan')],
]

describe('the linter holds the direction of imports', () => {
  let said: string[]
  beforeAll(() => {
    const texts = [...refused.map(([path, text]) => [path, text]), ...allowed]
    said = JSON.parse(execFileSync('node', ['tests/rules/lint-texts.mjs'], { input: JSON.stringify(texts), encoding: 'utf8' })) as string[]
  }, 120_000)

  it.each(refused.map(([path, text, message], index) => [path, text.split('\n')[0], message, index] as const))(
    '%s must not: %s',
    (_path, _text, message, index) => {
      expect(said[index]).toMatch(message)
    },
  )
  it('and lets the right ways through', () => {
    expect(said.slice(refused.length)).toEqual(['', '', ''])
  })
})

it('the lock takes every package from a registry', () => {
  const { packages } = JSON.parse(readFileSync('package-lock.json', 'utf8')) as { packages: Record<string, { resolved?: string }> }
  expect(Object.values(packages).filter(one => /^(git|file|http:)/.test(one.resolved ?? ''))).toEqual([])
})
