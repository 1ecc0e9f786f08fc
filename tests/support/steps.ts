import type { Plan, Step } from '../../core/plan'

/** A step in a word: its kind, with what, how; `<` what it waits for; `*` on a barrel that catches up; `2` on both. */
export function inWord(step: Step): string {
  const what = 'abrasive' in step ? `:${step.abrasive.id}` : 'how' in step ? `:${step.how}` : ''
  return `${step.kind}${what}${step.apart ? '*' : ''}${step.barrels.length > 1 ? '2' : ''}${step.gate ? `<${step.gate.purpose}` : ''}`
}

/** A coat in a word: of what, whether it soaks in (~) or is accelerated (!), how fast and with what it goes on. */
function coatWord(step: Step): string {
  if (step.kind !== 'coat') return inWord(step)
  const { product, soak, accelerated, speed, applicator, gate } = step
  return `${product.id}${soak ? '~' : ''}${accelerated ? '!' : ''} ${speed} ${applicator}${gate ? `<${gate.purpose}` : ''}`
}

/** Words with runs of alike ones counted. */
export function inRuns(words: readonly string[]): string {
  const runs = words.reduce<[string, number][]>((all, word) => {
    const last = all.at(-1)
    return last?.[0] === word ? [...all.slice(0, -1), [word, last[1] + 1]] : [...all, [word, 1]]
  }, [])
  return runs.map(([word, count]) => (count > 1 ? `${count} ${word}` : word)).join(', ')
}

/** The steps of some phases of a plan in words. */
export const stepsInWords = (plan: Plan, ...phases: Step['phase'][]): string =>
  inRuns(plan.steps.filter(step => phases.includes(step.phase)).map(coatWord))
