/**
 * The air of an invented evening, `minutes` after it began: the shop cools from its start and grows damper as it does, with small
 * unrest. The same minute always reads the same.
 */
export function eveningAir(minutes: number, start: { celsius: number, humidity: number }): { celsius: number, humidity: number } {
  const cooled = 4 * (1 - Math.exp(-Math.max(0, minutes) / 120))
  const unrest = 0.3 * Math.sin(minutes / 7) + 0.15 * Math.sin(minutes / 2.3 + 1)
  const celsius = start.celsius - cooled + unrest
  // The same water in cooler air: about 6 % more relative humidity of what there is for every degree, and what hands and breath add.
  const humidity = start.humidity * 1.06 ** (start.celsius - celsius) + minutes / 60
  return { celsius: round(celsius, 1), humidity: Math.min(99, Math.max(5, round(humidity, 0))) }
}

/**
 * What a calliper shows of a true diameter (mm): to its last digit of a hundredth, with the hand's unrest of about as much. `chance` is
 * 0 to 1.
 */
export const calliperReading = (mm: number, chance: number): number => Math.max(0, round(mm + (chance - 0.5) * 0.02, 2))

/** What a tachometer shows of a spindle speed: to ten, with one part in a hundred of unrest. `chance` is 0 to 1. */
export const tachometerReading = (revPerMin: number, chance: number): number =>
  Math.max(0, Math.round((revPerMin * (1 + (chance - 0.5) * 0.02)) / 10) * 10)

const round = (value: number, digits: number): number => Math.round(value * 10 ** digits) / 10 ** digits
