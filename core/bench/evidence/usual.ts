import { isKind, type Plan } from '../../plan'
import { usualMaterial } from './blank'
import { usualCoats } from './coats'

/**
 * What a pen tells whether anything went wrong with it or not, by its plan: for each piece of evidence that a plan knows of, whether it
 * holds. Counted over the pens of a shop it says what is usual there.
 */
export const usualOf = ({ steps, inputs }: Plan): Readonly<Record<string, boolean>> =>
  ({ ...usualCoats(steps.filter(isKind('coat'))), ...usualMaterial(inputs.material) })
