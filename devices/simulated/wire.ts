import type { Instruments, Stop } from '../instruments'

/** What the stand-ins say to the screens of this browser. */
export type Signal
  = | { from: 'calliper', mm: number }
    | { from: 'thermo-hygrometer', celsius: number, humidity: number }
    | { from: 'tachometer', revPerMin: number }
    | { from: 'foot pedal' }

/** The wire between the page of stand-ins and all other screens: a channel, or anything that is like one. */
export interface Wire {
  /** Sends a signal to all others on the wire. */
  postMessage: (signal: Signal) => void
  /** Hears what others send. */
  addEventListener: (kind: 'message', hear: (event: { data: Signal }) => void) => void
  /** Hears no more. */
  removeEventListener: (kind: 'message', hear: (event: { data: Signal }) => void) => void
}

/** The name of the channel that carries it. */
export const WIRE = 'oxlip-devices'

/** The stand-ins as instruments, at the other end of the wire. */
export function simulatedInstruments(wire: Wire): Instruments {
  function on<K extends Signal['from']>(from: K, hear: (signal: Extract<Signal, { from: K }>) => void): Stop {
    const take = ({ data }: { data: Signal }) => data.from === from && hear(data as Extract<Signal, { from: K }>)
    wire.addEventListener('message', take)
    return () => wire.removeEventListener('message', take)
  }
  return {
    calliper: { onReading: hear => on('calliper', ({ mm }) => hear(mm)) },
    thermoHygrometer: { onReading: hear => on('thermo-hygrometer', ({ celsius, humidity }) => hear({ celsius, humidity })) },
    tachometer: { onReading: hear => on('tachometer', ({ revPerMin }) => hear(revPerMin)) },
    footPedal: { onPress: hear => on('foot pedal', hear) },
  }
}
