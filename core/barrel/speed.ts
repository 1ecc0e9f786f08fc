/** Speed of the surface under the hand, in m/min, for a diameter in mm at a spindle speed in rev/min: π · D · n (machinists' handbook formula). */
export function surfaceSpeed(diameterMm: number, revPerMin: number): number {
  return Math.PI * diameterMm / 1000 * revPerMin
}
