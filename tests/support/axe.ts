import { readFileSync } from 'node:fs'
import { createRequire } from 'node:module'
import type { Page } from '@playwright/test'
import type axe from 'axe-core'

/** What axe looks for where no single rules are named: all it knows of these. */
const ALL = ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa', 'best-practice']
const source = readFileSync(createRequire(import.meta.url).resolve('axe-core/axe.min.js'), 'utf8')

/**
 * What axe finds wrong on a page as it stands, a line for each rule: `label: input.name`. It is put into the page once, which takes a
 * quarter of the time of putting it there for each look.
 */
export async function faultsOf(page: Page, rules: readonly string[] = []): Promise<string[]> {
  if (!(await page.evaluate(() => 'axe' in window))) await page.evaluate(source)
  return page.evaluate(async ({ rules, tags }) => {
    const { axe: looks } = window as unknown as { axe: typeof axe }
    const runOnly = rules.length ? { type: 'rule' as const, values: rules } : { type: 'tag' as const, values: tags }
    const { violations } = await looks.run(document, { runOnly, resultTypes: ['violations'] })
    return violations.map(one => `${one.id}: ${one.nodes.map(node => node.target.join(' ')).slice(0, 3).join(' | ')}`)
  }, { rules: [...rules], tags: ALL })
}
