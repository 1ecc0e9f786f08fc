import { defineStore } from 'pinia'
import type { CauseHistory, DefectKind, OwnRecord, RepairWay } from '#core/defects'
import type { DefectHistory } from '#contract'

/** What the defects of all pens tell about causes and mends. */
export const useDefects = defineStore('defects', () => {
  const history = ref<DefectHistory>({ causes: {}, ways: [] })

  async function load() {
    history.value = await api('GET /api/defects/history')
  }
  const causesOf = (kind: DefectKind): CauseHistory => history.value.causes[kind] ?? {}
  const recordOf = (way: RepairWay, kind: DefectKind): OwnRecord =>
    history.value.ways.find(one => one.kind === kind && one.way === way) ?? { worked: 0, failed: 0 }
  return { history, load, causesOf, recordOf }
})
