import { given, type Figure } from '../../figures'
import type { Product } from '../../shelf'
import type { PlanInputs } from './inputs'

/** What one coat of a product builds, µm: as measured on the turner's own pens, else as usual. 0 for what builds no film. */
export function buildOf({ builds }: Pick<PlanInputs, 'builds'>, product: Product): Figure {
  const own = builds?.[product.id]
  if (own !== undefined)
    return {
      ...given(`build of one coat, ${product.name}`, own, 'µm'),
      origin: 'measured',
      note: 'fitted to diameters measured on your own pens',
    }
  return given(`build of one coat, ${product.name}`, product.film?.build ?? 0, 'µm', product.film?.source ?? product.source)
}
