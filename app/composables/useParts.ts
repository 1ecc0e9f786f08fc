import { partsCheck, type Fitting, type PartLine } from '#core/barrel'

/** The parts check of a fitting, for so many pens, against the shelf as it is now. */
export function useParts(fitting: () => Fitting, pens: () => number = () => 1) {
  const stock = useStock()
  return computed((): PartLine[] => {
    const kept = stock.fitting(fitting().id)
    return partsCheck(fitting(), { bits: stock.bits ?? [], sets: kept?.sets ?? 0, bushings: kept?.bushings ?? 'not known' }, pens())
  })
}
