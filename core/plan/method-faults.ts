import type { ProductRole } from './inputs'
import { hasFilm, type Method } from './method'

/** What cannot be done with a method as it is set, at the field it stands in. */
export interface MethodFault {
  field: string
  says: string
}

/** Products that are put on in coats. */
export const coatRoles: readonly ProductRole[] = [
  'thin CA', 'medium CA', 'thick CA', 'sanding sealer', 'friction polish', 'carnauba wax', 'melamine lacquer', 'wood conditioner', 'shellac wax', 'wipe-on finish', 'finishing oil', 'hard wax', 'spray lacquer',
]
const BUILDS: readonly ProductRole[] = ['thin CA', 'medium CA', 'thick CA', 'sanding sealer', 'melamine lacquer', 'wipe-on finish', 'spray lacquer']
const CA: readonly ProductRole[] = ['thin CA', 'medium CA', 'thick CA']

/** Everything that no bench could do: named at its field, with what would be right. Empty for a sound method. */
export function methodFaults({ family, layers, levelling, polishes }: Pick<Method, 'family' | 'layers' | 'levelling' | 'polishes'>): MethodFault[] {
  const found: MethodFault[] = []
  if (family === 'bare polish' && layers.length) found.push({ field: 'layers', says: 'A bare polish has no coats: take them out, or copy another family.' })
  if (family !== 'bare polish' && !layers.length) found.push({ field: 'layers', says: 'Needs at least one product.' })
  if (family === 'bare polish' && levelling !== 'never') found.push({ field: 'levelling', says: 'Without a film there is nothing to level: choose never.' })
  if (family === 'bare polish' && polishes === 0) found.push({ field: 'polishes', says: 'A bare polish needs one polish at least.' })
  if (hasFilm({ family }) && !layers.some(layer => BUILDS.includes(layer.role))) found.push({ field: 'layers', says: 'Nothing here builds a film: add CA, lacquer or a wipe-on finish.' })
  if (typeof levelling === 'number' && !layers.some(layer => CA.includes(layer.role))) found.push({ field: 'levelling', says: 'Only CA is levelled in stages: choose at the end, or never.' })
  if (layers.filter(layer => typeof layer.count !== 'number').length > 1) found.push({ field: 'layers', says: 'Only one product may have as many coats as are needed: give the others a count.' })
  layers.forEach(({ role, count, accelerate, applicator }, index) => {
    if (typeof count !== 'number' && count.most < count.least) found.push({ field: `layers[${index}].count.most`, says: `Should be ${count.least} or more.` })
    if (accelerate && !CA.includes(role)) found.push({ field: `layers[${index}].accelerate`, says: 'Accelerator works on CA only.' })
    if (applicator === 'foam' && !CA.includes(role)) found.push({ field: `layers[${index}].applicator`, says: 'Foam is for CA: a solvent dissolves it. Choose towel.' })
    if (applicator === 'spray' && role !== 'spray lacquer') found.push({ field: `layers[${index}].applicator`, says: 'Only spray lacquer is sprayed.' })
  })
  return found
}
