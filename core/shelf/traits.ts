import { given, type Figure } from '../figures'
import type { Medium } from '../sanding'
import { is, isResin, type Material, type MaterialClass } from './material'

/** What the sanding model takes the blank for; unknown hardness counts as 5 kN, the middle of turning woods. */
export function mediumOf(material: Material): Medium {
  if (isResin(material)) return { kind: 'resin' }
  const hardness = material.hardness
    ? given(`side hardness of ${material.name.toLowerCase()}`, material.hardness.value, 'N', material.hardness.source)
    : given('side hardness', 5000, 'N', { mark: 'model', note: 'not known: taken as the middle of turning woods' })
  return { kind: 'wood', hardness }
}

/** What a cut rate is learnt for: a class of wood, or wood of no known class. */
export type SandingClass = MaterialClass | 'wood'

/** The class of wood whose cut rate is learnt together: the first that the material has. */
export const sandingClass = (material: Material): SandingClass => material.classes[0] ?? 'wood'

/** Density of the blank, kg/m³; an unknown wood counts as 700, resin as 1200. */
export function density(material: Material): Figure {
  if (material.density) return given(`density of ${material.name.toLowerCase()}`, material.density.value, 'kg/m³', material.density.source)
  const [value, what] = isResin(material) ? [1200, 'cast resin'] : [700, 'turning woods']
  return given('density', value, 'kg/m³', { mark: 'model', note: `not known: taken as the middle of ${what}` })
}

/** Whether it cannot be turned and sanded as round as other blanks: soft spots, resin beside wood, grain that runs every way. */
export const isUneven = (material: Material): boolean => is(material, 'soft', 'hybrid', 'figured')

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
  return is(material, 'soft', 'resin', 'hybrid')
    ? given('coarsest grain for this blank (P220)', 68, 'µm', source)
    : given('coarsest grain for this blank (P150)', 100, 'µm', source)
}
