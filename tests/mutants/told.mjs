import { appendFileSync, mkdirSync, writeFileSync } from 'node:fs'

/**
 * Writes down what became of each wrong line as soon as it is known, in `.oxlip/mutants.log`: the report comes only at the end, and a
 * run that is cut off would leave none.
 */
class Told {
  constructor() {
    mkdirSync('.oxlip', { recursive: true })
    writeFileSync('.oxlip/mutants.log', '')
  }

  onMutantTested({ status, fileName, location, mutatorName, replacement = '' }) {
    const where = `${fileName.replace(/^.*?(?=core\/)/, '')}:${location.start.line}`
    appendFileSync('.oxlip/mutants.log', `${status} ${where} ${mutatorName} ${replacement.split('\n')[0]}\n`)
  }
}

export const strykerPlugins = [{ kind: 'Reporter', name: 'told', injectableClass: Told }]
