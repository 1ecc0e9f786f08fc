import { defineStore } from 'pinia'
import type { CauseHistory, DefectKind, OwnRecord, RepairWay, ShopHistory } from '#core/defects'
import type { DefectHistory } from '#contract'

/** What the defects of all pens tell about causes and mends. */
export const useDefects = defineStore('defects', () => {
  const history = ref<DefectHistory>({ causes: {}, ways: [], usual: {} })

  async function load() {
    history.value = await api('GET /api/defects/history')
  }
  const causesOf = (kind: DefectKind): CauseHistory => history.value.causes[kind] ?? {}
  const recordOf = (way: RepairWay, kind: DefectKind): OwnRecord =>
    history.value.ways.find(one => one.kind === kind && one.way === way) ?? { worked: 0, failed: 0 }
  const shopOf = (kind: DefectKind): ShopHistory => ({ causes: causesOf(kind), usual: history.value.usual })
  return { history, load, shopOf, recordOf }
})
