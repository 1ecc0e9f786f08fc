import type { Climate } from './air'

/** The air of the workshop as it was from a moment on. */
export interface AirReading extends Climate {
  /** ISO 8601 in UTC. */
  at: string
}

/**
 * When a wait that began at `from` (ms) ends, in ms, if the air changed while it ran: in every stretch of unchanged air the part of the
 * wait goes by that this air lets go by. `length` is the whole wait in an air, s. Before the first of the `readings` (in the order of
 * time) the air is as planned; after the last it stays.
 */
export function waitEnds(from: number, planned: Climate, readings: readonly AirReading[], length: (air: Climate) => number): number {
  let air = planned
  let now = from
  let left = 1
  for (const reading of readings) {
    const at = Date.parse(reading.at)
    if (at > now) {
      const whole = length(air) * 1000
      if (now + left * whole <= at) return now + left * whole
      left -= (at - now) / whole
      now = at
    }
    air = reading
  }
  return now + left * length(air) * 1000
}

/** The air at a moment (ISO 8601): the last reading not after it, else as planned. */
export const airAt = (moment: string, planned: Climate, readings: readonly AirReading[]): Climate =>
  readings.findLast(reading => reading.at <= moment) ?? planned
