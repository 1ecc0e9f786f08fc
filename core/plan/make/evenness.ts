import { OVER, WOOD_EVEN, WOOD_UNEVEN, type Evenness } from '../../film'
import { isUneven } from '../../shelf'
import type { PlanInputs } from '../model'

/** How even wood and hand are here, as far as going through a film goes: the turner's own, once something was levelled. */
export const evennessOf = ({ material, even }: Pick<PlanInputs, 'material' | 'even'>): Evenness =>
  ({ wood: (isUneven(material) ? WOOD_UNEVEN : WOOD_EVEN) * (even?.wood ?? 1), over: OVER * (even?.over ?? 1) })
