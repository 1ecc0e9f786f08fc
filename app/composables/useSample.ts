import { nth } from '#core/sure'
import { useLocalStorage } from '@vueuse/core'
import { suitability, type Method } from '#core/method'
import { methodFigures, planInputs, type PlanInputs } from '#core/plan'
import type { Shelf } from '#core/shelf'
import { materials, products } from '#reference'

/**
 * The blank and fitting that methods are shown for, remembered on this device; a method counts as if every product it asks for were
 * there.
 */
export function useSample() {
  const workshop = useWorkshop()
  const stock = useStock()
  const chosen = useLocalStorage('oxlip-sample', { material: 'apple', fitting: 'click-8', depth: 40 })
  const material = computed(() => materials.find(row => row.id === chosen.value.material) ?? nth(materials, 0))
  const fitting = computed(() => stock.fitting(chosen.value.fitting)?.fitting ?? stock.fittings?.[0]?.fitting)
  const shelf = computed((): Shelf | undefined => {
    const there = workshop.shelf
    if (!there) return undefined
    const missing = products.filter(row => !there.products.some(one => one.role === row.role))
    return { ...there, products: [...there.products, ...missing] }
  })

  function inputsFor(method: Method): PlanInputs | undefined {
    const air = workshop.workshop
    if (!shelf.value || !fitting.value || !air) return undefined
    return planInputs({
      fitting: fitting.value,
      material: material.value,
      method,
      shelf: shelf.value,
      workshop: air,
      wishes: { tool: 'skew', film: 'gloss', depth: chosen.value.depth },
      taught: workshop.learnt,
    })
  }
  function figuresFor(method: Method) {
    const inputs = inputsFor(method)
    return inputs && methodFigures(inputs)
  }
  return { chosen, material, fitting, figuresFor, suitsOf: (method: Method) => suitability(method.family, material.value) }
}
