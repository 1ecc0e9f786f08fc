/** Stops hearing. */
export type Stop = () => void

/** Sends a diameter when its key is pressed, mm. */
export interface Calliper {
  onReading: (hear: (mm: number) => void) => Stop
}

/** Reads the air, °C and % relative humidity. */
export interface ThermoHygrometer {
  onReading: (hear: (air: { celsius: number, humidity: number }) => void) => Stop
}

/** Reads the spindle, rev/min; 0 when it stands. */
export interface Tachometer {
  onReading: (hear: (revPerMin: number) => void) => Stop
}

/** Is pressed. */
export interface FootPedal {
  onPress: (hear: () => void) => Stop
}

/** The instruments of a workshop. */
export interface Instruments {
  calliper: Calliper
  thermoHygrometer: ThermoHygrometer
  tachometer: Tachometer
  footPedal: FootPedal
}
