import { given, type Figure } from '../figures'
import type { Medium } from '../sanding'
import { grainSize } from '../abrasives'
import type { Material, MaterialClass, PlanInputs, ShelfAbrasive, ToolId } from './inputs'

const is = (material: Material, ...classes: Material['classes'][number][]): boolean => classes.some(one => material.classes.includes(one))

export const isResin = (material: Material): boolean => is(material, 'resin')
/** Resin, or wood and resin in one. */
export const hasResin = (material: Material): boolean => is(material, 'resin', 'hybrid')
/** Grain that needs no filling; an unknown wood is treated as such. */
export const closeGrained = (material: Material): boolean => is(material, 'close-grained') || material.classes.length === 0
export const isOily = (material: Material): boolean => is(material, 'oily')
export const bleeds = (material: Material): boolean => is(material, 'bleeding')
/** Wood whose pores drink the first coats. */
export const openPored = (material: Material): boolean => is(material, 'open-pored')
export const isSoft = (material: Material): boolean => is(material, 'soft')
export const hasJoint = (material: Material): boolean => is(material, 'hybrid', 'laminated')
/** Wood that tears when it is drilled, so that it is cut longer. */
export const tears = (material: Material): boolean => is(material, 'soft', 'figured')

/** What the sanding model takes the blank for; unknown hardness counts as 5 kN, the middle of turning woods. */
export function mediumOf(material: Material): Medium {
  if (isResin(material)) return { kind: 'resin' }
  const hardness = material.hardness
    ? given(`side hardness of ${material.name.toLowerCase()}`, material.hardness.value, 'N', material.hardness.source)
    : given('side hardness', 5000, 'N', { mark: 'model', note: 'not known: taken as the middle of turning woods' })
  return { kind: 'wood', hardness }
}

/** The class of wood whose cut rate is learnt together: the first that the material has. */
export const sandingClass = (material: Material): MaterialClass | 'wood' => material.classes[0] ?? 'wood'

/** Density of the blank, kg/m³; an unknown wood counts as 700, resin as 1200. */
export function density(material: Material): Figure {
  if (material.density) return given(`density of ${material.name.toLowerCase()}`, material.density.value, 'kg/m³', material.density.source)
  const [value, what] = isResin(material) ? [1200, 'cast resin'] : [700, 'turning woods']
  return given('density', value, 'kg/m³', { mark: 'model', note: `not known: taken as the middle of ${what}` })
}

/** Part of a soaking coat that stays on top: pores drink, resin does not. */
export function soakOnTop(material: Material): Figure {
  const source = { mark: 'model' as const, note: 'starting value' }
  if (isResin(material)) return given('part of a coat that stays on top of resin', 1, '×', source)
  return is(material, 'open-pored', 'soft')
    ? given('part of a soaking coat that stays on top of open pores', 0.3, '×', source)
    : given('part of a soaking coat that stays on top of close grain', 0.7, '×', source)
}

/** The coarsest grain this blank should see, µm: P150 on wood, P220 where it is soft or resin. */
export function coarsestGrain(material: Material): Figure {
  const source = { mark: 'trade' as const, note: 'common practice for this class of blank' }
  return is(material, 'soft', 'resin', 'hybrid') ? given('coarsest grain for this blank (P220)', 68, 'µm', source) : given('coarsest grain for this blank (P150)', 100, 'µm', source)
}

const TOOL_DEPTH: Record<ToolId, number> = { 'skew': 15, 'round carbide': 30, 'square carbide': 40, 'gouge': 60 }

/** From this grain on resin is sanded wet, µm: about P600 and the pads [trade]. */
const WET_FROM = 30.5

/** Whether this abrasive is used wet on the bare blank: fine ones on resin, never on wood. */
export const sandsWet = (material: Material, abrasive: ShelfAbrasive): boolean => isResin(material) && abrasive.wet && grainSize(abrasive.scale, abrasive.mark) <= WET_FROM

/** Spindle speed that the bare blank is sanded at: the turner's own school, or the method's. */
export function sandSpeed({ wishes, method }: Pick<PlanInputs, 'wishes' | 'method'>): Figure {
  return wishes.sandSpeed === undefined ? given('sanding speed', method.speeds.sand, 'rev/min', method.source) : given('sanding speed', wishes.sandSpeed, 'rev/min')
}

/** Depth of the marks that sanding begins with, µm: as the turner judged them, or as the tool usually leaves them. */
export const startMarks = ({ marks, tool }: Pick<PlanInputs['wishes'], 'marks' | 'tool'>): Figure => marks === undefined ? toolMarks(tool) : given('marks as judged', marks, 'µm')

/** Depth of the marks a tool leaves, µm. */
export const toolMarks = (tool: ToolId): Figure => given(`marks left by the ${tool}`, TOOL_DEPTH[tool], 'µm', { mark: 'model', note: 'starting value' })
