import { isCa, type CoatRole } from '../shelf'
import { hasFilm, type Method } from './method'

/** What cannot be done with a method as it is set, at the field it stands in. */
export interface MethodFault {
  /** The field by its path: `layers[0].count.most`. */
  field: string
  /** What is wrong and what would be right. */
  says: string
}

/** Whether coats of it stand on the wood as a film [trade]. */
const BUILDS: Record<CoatRole, boolean> = {
  'thin CA': true,
  'medium CA': true,
  'thick CA': true,
  'sanding sealer': true,
  'friction polish': false,
  'carnauba wax': false,
  'melamine lacquer': true,
  'wood conditioner': false,
  'shellac wax': false,
  'wipe-on finish': true,
  'finishing oil': false,
  'hard wax': false,
  'spray lacquer': true,
}

/** Everything that no bench could do: named at its field, with what would be right. Empty for a sound method. */
export function methodFaults({
  family,
  layers,
  levelling,
  polishes,
}: Pick<Method, 'family' | 'layers' | 'levelling' | 'polishes'>): MethodFault[] {
  const found: MethodFault[] = []
  if (family === 'bare polish' && layers.length)
    found.push({ field: 'layers', says: 'A bare polish has no coats: take them out, or copy another family.' })
  if (family !== 'bare polish' && !layers.length) found.push({ field: 'layers', says: 'Needs at least one product.' })
  if (family === 'bare polish' && levelling !== 'never')
    found.push({ field: 'levelling', says: 'Without a film there is nothing to level: choose never.' })
  if (family === 'bare polish' && polishes === 0) found.push({ field: 'polishes', says: 'A bare polish needs one polish at least.' })
  if (hasFilm({ family }) && !layers.some(layer => BUILDS[layer.role]))
    found.push({ field: 'layers', says: 'Nothing here builds a film: add CA, lacquer or a wipe-on finish.' })
  if (typeof levelling === 'number' && !layers.some(layer => isCa(layer.role)))
    found.push({ field: 'levelling', says: 'Only CA is levelled in stages: choose at the end, or never.' })
  if (layers.filter(layer => typeof layer.count !== 'number').length > 1)
    found.push({ field: 'layers', says: 'Only one product may have as many coats as are needed: give the others a count.' })
  layers.forEach(({ role, count, accelerate, applicator }, index) => {
    if (typeof count !== 'number' && count.most < count.least)
      found.push({ field: `layers[${index}].count.most`, says: `Should be ${count.least} or more.` })
    if (accelerate && !isCa(role)) found.push({ field: `layers[${index}].accelerate`, says: 'Accelerator works on CA only.' })
    if (applicator === 'foam' && !isCa(role))
      found.push({ field: `layers[${index}].applicator`, says: 'Foam is for CA: a solvent dissolves it. Choose towel.' })
    if (applicator === 'spray' && role !== 'spray lacquer')
      found.push({ field: `layers[${index}].applicator`, says: 'Only spray lacquer is sprayed.' })
  })
  return found
}
