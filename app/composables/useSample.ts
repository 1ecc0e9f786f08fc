import { useLocalStorage } from '@vueuse/core'
import { methodFigures, suitability, type Method, type PlanInputs, type Shelf } from '#core/plan'
import { materials, products } from '#reference'

/** The blank and fitting that methods are shown for, remembered on this device; a method counts as if every product it asks for were there. */
export function useSample() {
  const workshop = useWorkshop()
  const stock = useStock()
  const chosen = useLocalStorage('oxlip-sample', { material: 'apple', fitting: 'click-8', depth: 40 })
  const material = computed(() => materials.find(row => row.id === chosen.value.material) ?? materials[0]!)
  const fitting = computed(() => stock.fitting(chosen.value.fitting)?.fitting ?? stock.fittings?.[0]?.fitting)
  const shelf = computed((): Shelf | undefined => workshop.shelf && {
    abrasives: workshop.shelf.abrasives,
    products: products.map(row => workshop.shelf!.products.find(there => there.id === row.id) ?? row),
  })

  function inputsFor(method: Method): PlanInputs | undefined {
    const air = workshop.workshop
    if (!shelf.value || !fitting.value || !air) return undefined
    return {
      fitting: fitting.value, material: material.value, method, shelf: shelf.value, climate: { celsius: air.celsius, humidity: air.humidity },
      wishes: { tool: 'skew', film: 'gloss', depth: chosen.value.depth }, ...(workshop.builds ? { builds: workshop.builds } : {}),
    }
  }
  function figuresFor(method: Method) {
    const inputs = inputsFor(method)
    return inputs && methodFigures(inputs)
  }
  return { chosen, material, fitting, figuresFor, suitsOf: (method: Method) => suitability(method.family, material.value) }
}
