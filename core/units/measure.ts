/** Exact conversions between what is kept inside (°C, m/min, N, g) and what some turners read (°F, ft/min, lbf, oz). */

const M_PER_FOOT = 0.3048
/** Standard gravity times the pound, exact by definition. */
const N_PER_LBF = 4.4482216152605

export const toFahrenheit = (celsius: number): number => (celsius * 9) / 5 + 32
export const fromFahrenheit = (fahrenheit: number): number => ((fahrenheit - 32) * 5) / 9
export const toFeetPerMinute = (metresPerMinute: number): number => metresPerMinute / M_PER_FOOT
export const fromFeetPerMinute = (feetPerMinute: number): number => feetPerMinute * M_PER_FOOT
export const toPoundsForce = (newtons: number): number => newtons / N_PER_LBF
export const fromPoundsForce = (lbf: number): number => lbf * N_PER_LBF

/** The avoirdupois ounce, g, exact by definition. */
const G_PER_OUNCE = 28.349523125

export const toOunces = (grams: number): number => grams / G_PER_OUNCE
export const fromOunces = (ounces: number): number => ounces * G_PER_OUNCE
