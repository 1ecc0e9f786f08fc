/** Stops hearing. */
export type Stop = () => void

/** Sends a diameter when its key is pressed, mm. */
export interface Calliper {
  /** Hears its readings, mm. */
  onReading: (hear: (mm: number) => void) => Stop
}

/** Reads the air, °C and % relative humidity. */
export interface ThermoHygrometer {
  /** Hears its readings: °C and % relative humidity. */
  onReading: (hear: (air: { celsius: number, humidity: number }) => void) => Stop
}

/** Reads the spindle, rev/min; 0 when it stands. */
export interface Tachometer {
  /** Hears the spindle, rev/min. */
  onReading: (hear: (revPerMin: number) => void) => Stop
}

/** Is pressed. */
export interface FootPedal {
  /** Hears each press. */
  onPress: (hear: () => void) => Stop
}

/** The instruments of a workshop. */
export interface Instruments {
  /** For diameters and lengths. */
  calliper: Calliper
  /** For the air of the shop. */
  thermoHygrometer: ThermoHygrometer
  /** For the speed of the spindle. */
  tachometer: Tachometer
  /** For the next step, with both hands full. */
  footPedal: FootPedal
}
