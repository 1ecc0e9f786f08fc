import { readdirSync, readFileSync } from 'node:fs'
import { join } from 'node:path'

const FOLDER = 'server/api'
const files = readdirSync(FOLDER, { recursive: true, encoding: 'utf8' }).filter(file => file.endsWith('.ts') && !file.endsWith('.test.ts'))

/** The route that a file answers, by where it stands: `pens/[id]/index.patch.ts` is `PATCH /api/pens/:id`. */
function nameOf(file: string): string {
  const [, path = '', method = 'get'] = /^(.*?)(?:\.(get|post|put|patch|delete))?\.ts$/.exec(file) ?? []
  const parts = path.split('/').filter(part => part !== 'index').map(part => part.replace(/\[(\w+)\]/, ':$1'))
  return `${method.toUpperCase()} /api/${parts.join('/')}`
}

it('every handler answers the route that its file stands for, and every route of the contract has one', () => {
  const named = files.flatMap((file) => {
    const name = /\broute\(\s*'([^']+)'/.exec(readFileSync(join(FOLDER, file), 'utf8'))?.[1]
    return name === undefined ? [] : [{ file, name, stands: nameOf(file) }]
  })
  expect(named.filter(one => one.name !== one.stands)).toEqual([])
  const contract = [...readFileSync('contract/routes.ts', 'utf8').matchAll(/^ {2}'([A-Z]+ [^']+)':/gm)].map(([, name]) => name)
  expect(named.map(one => one.name).sort()).toEqual(contract.sort())
})
