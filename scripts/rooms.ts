import { spawnSync } from 'node:child_process'
import { readFileSync, writeFileSync } from 'node:fs'
import { main, Plain } from './lib/say'

const PAGE = 'docs/architecture.md'
const [BEGIN, END] = ['<!-- rooms: made by npm run rooms:draw -->', '<!-- /rooms -->']

/**
 * Draws the rooms of the core and who knows whom into the architecture page, as dependency-cruiser finds them; with `--check` it only
 * tells whether the page is true.
 */
await main(async () => {
  const asked = ['depcruise', 'core', '--config', '.dependency-cruiser.mjs', '--output-type', 'json']
  const told = spawnSync('npx', asked, { encoding: 'utf8', maxBuffer: 2 ** 28 })
  if (told.status !== 0) throw new Plain('dependency-cruiser found something: run npm run rooms.')
  const { modules } = JSON.parse(told.stdout) as { modules: { source: string, dependencies: { resolved: string }[] }[] }
  const room = (file: string) => /^core\/(plan\/[^/]+|[^/]+)\//.exec(file)?.[1]
  const edges = new Map<string, Set<string>>()
  for (const { source, dependencies } of modules) {
    const from = room(source)
    if (!from || source.endsWith('.test.ts')) continue
    for (const { resolved } of dependencies) {
      const to = room(resolved) ?? (resolved === 'core/plan/index.ts' ? 'plan' : undefined)
      if (to && to !== from) edges.set(from, (edges.get(from) ?? new Set()).add(to))
    }
  }
  const id = (name: string) => (name.includes('/') ? `${name.replace('/', '_')}["${name}"]` : name)
  const lines = [...edges].sort(([a], [b]) => (a < b ? -1 : 1)).flatMap(([from, all]) =>
    [...all].sort().map(to => `  ${id(from)} --> ${id(to)}`))
  const page = readFileSync(PAGE, 'utf8')
  const [before, rest] = [page.slice(0, page.indexOf(BEGIN)), page.slice(page.indexOf(END))]
  const drawn = `${before}${BEGIN}\n\n\`\`\`mermaid\ngraph LR\n${lines.join('\n')}\n\`\`\`\n\n${rest}`
  if (!process.argv.includes('--check')) writeFileSync(PAGE, drawn)
  else if (drawn !== page) throw new Plain(`The drawing of the rooms in ${PAGE} is no longer true: run npm run rooms:draw.`)
})
