import { given, type Figure } from '../../figures'
import type { PlanInputs, Product, ProductRole } from '../inputs'

/** The shelf's product for a role, if there is one. */
export const productFor = (inputs: Pick<PlanInputs, 'shelf'>, role: ProductRole): Product | undefined => inputs.shelf.products.find(product => product.role === role)

/** What one coat of a product builds, µm: as measured on the turner's own pens, else as usual. 0 for what builds no film. */
export function buildOf({ builds }: Pick<PlanInputs, 'builds'>, product: Product): Figure {
  const own = builds?.[product.id]
  if (own !== undefined) return { ...given(`build of one coat, ${product.name}`, own, 'µm'), origin: 'measured', note: 'fitted to diameters measured on your own pens' }
  return given(`build of one coat, ${product.name}`, product.film?.build ?? 0, 'µm', product.film?.source ?? product.source)
}
