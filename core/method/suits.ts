import type { Material } from '../shelf'
import { barePolish } from './families/bare-polish'
import { caFilm } from './families/ca-film'
import { conditionerWax } from './families/conditioner-wax'
import type { Family, Reason } from './families/family'
import { frictionPolish } from './families/friction-polish'
import { hardWax } from './families/hard-wax'
import { oil } from './families/oil'
import { sealerLacquer } from './families/sealer-lacquer'
import { sealerPolish } from './families/sealer-polish'
import { sprayLacquer } from './families/spray-lacquer'
import { wipeOn } from './families/wipe-on'
import type { FinishFamily, Method } from './method'

/** Every family, by its name. */
const families: Record<FinishFamily, Family> = {
  'CA film': caFilm,
  'friction polish': frictionPolish,
  'sealer and polish': sealerPolish,
  'sealer and lacquer': sealerLacquer,
  'conditioner and wax': conditionerWax,
  'wipe-on': wipeOn,
  'oil': oil,
  'hard wax': hardWax,
  'bare polish': barePolish,
  'spray lacquer': sprayLacquer,
}

/** A family with all that is known of it. */
export const familyOf = (family: FinishFamily): Family => families[family]

/** How a finish goes with a material. */
export interface Suitability {
  /** In one word. */
  verdict: 'suits' | 'with care' | 'does not suit'
  /** What it rests on. */
  reasons: Reason[]
}

/** How a family of finishes goes with a material, with what speaks for and against it. */
export function suitability(family: FinishFamily, material: Material): Suitability {
  const reasons = familyOf(family).suits(material)
  const has = (weight: Reason['weight']) => reasons.some(reason => reason.weight === weight)
  return { verdict: has('against') ? 'does not suit' : has('care') ? 'with care' : 'suits', reasons }
}

const RANK: Record<Suitability['verdict'], number> = { 'suits': 0, 'with care': 1, 'does not suit': 2 }

/**
 * Methods with how they go with a material, the best first: what suits before what asks for care, more reasons for it before fewer,
 * else in their order.
 */
export function rankedMethods(methods: readonly Method[], material: Material): (Suitability & { method: Method })[] {
  const points = ({ reasons }: Suitability) => reasons.filter(reason => reason.weight === 'for').length
  return methods
    .map(method => ({ method, ...suitability(method.family, material) }))
    .sort((a, b) => RANK[a.verdict] - RANK[b.verdict] || points(b) - points(a))
}
