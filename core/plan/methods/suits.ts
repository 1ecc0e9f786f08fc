import type { Material } from '../inputs'
import type { FinishFamily, Method } from '../method'
import { barePolish } from './bare-polish'
import { caFilm } from './ca-film'
import { conditionerWax } from './conditioner-wax'
import type { Family, Reason } from './family'
import { frictionPolish } from './friction-polish'
import { hardWax } from './hard-wax'
import { oil } from './oil'
import { sealerLacquer } from './sealer-lacquer'
import { sealerPolish } from './sealer-polish'
import { sprayLacquer } from './spray-lacquer'
import { wipeOn } from './wipe-on'

/** Every family, in the order they are shown. */
export const families: readonly Family[] = [caFilm, frictionPolish, sealerPolish, sealerLacquer, conditionerWax, wipeOn, oil, hardWax, barePolish, sprayLacquer]

export const familyOf = (family: FinishFamily): Family => families.find(one => one.family === family)!

/** How a finish goes with a material. */
export interface Suitability {
  verdict: 'suits' | 'with care' | 'does not suit'
  reasons: Reason[]
}

/** How a family of finishes goes with a material, with what speaks for and against it. */
export function suitability(family: FinishFamily, material: Material): Suitability {
  const reasons = familyOf(family).suits(material)
  const has = (weight: Reason['weight']) => reasons.some(reason => reason.weight === weight)
  return { verdict: has('against') ? 'does not suit' : has('care') ? 'with care' : 'suits', reasons }
}

const RANK: Record<Suitability['verdict'], number> = { 'suits': 0, 'with care': 1, 'does not suit': 2 }

/** Methods with how they go with a material, the best first: what suits before what asks for care, more reasons for it before fewer, else in their order. */
export function rankedMethods(methods: readonly Method[], material: Material): (Suitability & { method: Method })[] {
  const points = ({ reasons }: Suitability) => reasons.filter(reason => reason.weight === 'for').length
  return methods.map(method => ({ method, ...suitability(method.family, material) })).sort((a, b) => RANK[a.verdict] - RANK[b.verdict] || points(b) - points(a))
}
