import { defineStore } from 'pinia'
import type { CauseHistory, DefectKind, OwnRecord, RepairWay } from '#core/defects'
import type { DefectHistory, ListedDefect } from '#contract'

/** The defects of all pens, and what they tell about causes and mends. */
export const useDefects = defineStore('defects', () => {
  const defects = ref<ListedDefect[]>()
  const history = ref<DefectHistory>({ causes: {}, ways: [] })

  async function load() {
    ;({ defects: defects.value, history: history.value } = await api('GET /api/defects'))
  }
  const causesOf = (kind: DefectKind): CauseHistory => history.value.causes[kind] ?? {}
  const recordOf = (way: RepairWay, kind: DefectKind): OwnRecord =>
    history.value.ways.find(one => one.kind === kind && one.way === way) ?? { worked: 0, failed: 0 }
  return { defects, history, load, causesOf, recordOf }
})
