/** What a workshop pays, or wants, in minor units of its currency, by what it is for: see `priceNames`. */
export type Prices = Readonly<Record<string, number>>

/** Prices that are of the workshop as a whole: an hour of hands, a packing, an hour as it should bring, and the part of a price kept, %. */
export const wholePrices: readonly string[] = ['hour', 'packing', 'wage', 'margin']

/** The name of a set’s price. */
export const setPrice = (fitting: string): string => `fitting:${fitting}`
/** The name of the price of a pen blank of a material. */
export const materialPrice = (material: string): string => `material:${material}`
/** The name of the price of a blank of one’s own, whole. */
export const blankPrice = (blank: string): string => `blank:${blank}`
/** The name of the price of one sheet, or one pad. */
export const abrasivePrice = (abrasive: string): string => `abrasive:${abrasive}`

/** What a product is called where things that are bought are spoken of; the price of a bottle stands with the bottle. */
export const bottlePrice = (product: string): string => `bottle:${product}`

/** Whether something is the name of a price. */
export const isPriceName = (name: string): boolean =>
  wholePrices.includes(name) || /^(fitting|material|blank|abrasive):[\w-]{1,80}$/.test(name)
