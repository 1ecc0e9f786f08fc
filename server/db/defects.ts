import type { Knex } from 'knex'
import type { AllDefects, DefectHistory, ListedDefect } from '../../contract'
import { replay, type DefectState } from '../../core/bench'
import { isResin } from '../../core/shelf'
import { eventsByPen } from './events'
import { listPens } from './pens'
import { readPlans } from './plans'

/** All defects over all pens, the latest first, and what they tell. */
export async function readDefects(knex: Knex): Promise<AllDefects> {
  const [pens, plans, logs] = await Promise.all([listPens(knex), readPlans(knex), eventsByPen(knex)])
  const defects: ListedDefect[] = []
  const history: DefectHistory = { causes: {}, ways: [] }
  for (const { id, mark, name } of pens) {
    const [plan, log] = [plans.get(id), logs.get(id) ?? []]
    if (!plan || !log.some(event => event.kind === 'defect')) continue
    const state = replay(plan, log)
    const { fitting, material } = state.plan.inputs
    const made = new Set(log.filter(event => event.device === 'demo').map(event => event.id))
    for (const { answers: _, ...defect } of state.defects) {
      defects.push({
        ...defect,
        pen: { id, mark, name },
        fitting,
        material: { id: material.id, name: material.name, colour: material.colour, resin: isResin(material) },
        found: state.plan.steps.find(step => step.id === defect.step)?.kind ?? null,
      })
      if (!made.has(defect.id)) learn(history, defect)
    }
  }
  return { defects: defects.sort((a, b) => (a.at < b.at ? 1 : -1)), history }
}

function learn(history: DefectHistory, { kind, judged, mends, status }: Omit<DefectState, 'answers'>): void {
  if (judged && judged !== 'not known') {
    const of = (history.causes[kind] ??= {})
    of[judged] = (of[judged] ?? 0) + 1
  }
  mends.forEach((mend, index) => {
    const worked = !mend.failed && (Boolean(mend.done) || (status === 'mended' && index === mends.length - 1))
    if (!worked && !mend.failed) return
    const known = history.ways.find(one => one.kind === kind && one.way === mend.way)
    const row = known ?? { kind, way: mend.way, worked: 0, failed: 0 }
    if (!known) history.ways.push(row)
    row[worked ? 'worked' : 'failed']++
  })
}
