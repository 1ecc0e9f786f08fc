import { nth } from '../sure'
import { decimal } from '../format'
import { given, worked, type Figure, type Source } from '../figures'
import { barrelNames, type Barrel, type Fitting } from './fitting'
import { barVolume, grown, slimmest, volumeOf, type Profile } from './profile'

/** Wood over the brass where it is thinnest. */
export interface ThinnestWall {
  /** Wall of wood once sanded, mm; below 0 there is none. */
  wall: Figure
  /** mm from the tip end. */
  at: number
}

/** The thinnest wall over the tube, for a barrel finished to this outline under `filmLeft` µm of film. */
export function thinnestWall(source: Source, barrel: Barrel, finished: Profile, filmLeft: Figure): ThinnestWall {
  const place = slimmest(finished)
  const outside = given(`finished diameter, ${barrelNames[barrel.id]}, at ${decimal(place.at)} mm`, place.diameter, 'mm')
  const tube = given(`tube outside, ${barrelNames[barrel.id]}`, barrel.tubeOuter, 'mm', source)
  const wall = (place.diameter - (2 * filmLeft.value) / 1000 - barrel.tubeOuter) / 2
  return { wall: worked('thinnest wall', wall, 'mm', '(finished diameter − 2 × film − tube) / 2', [outside, filmLeft, tube]), at: place.at }
}

/** Where the wood of one pen goes; volumes in mm³. */
export interface WoodVolumes {
  /** In the finished barrels, between brass and film. */
  kept: number
  /** Turned, drilled and trimmed away from the cut blanks. */
  away: number
}

/** Wood kept and wood turned away, for square blanks of this side and these cut lengths. */
export function woodVolumes(
  fitting: Fitting,
  finished: readonly Profile[],
  filmLeft: number,
  side: number,
  cutLengths: readonly number[],
): WoodVolumes {
  const kept = fitting.barrels.reduce(
    (sum, barrel, index) =>
      sum + Math.max(0, volumeOf(grown(nth(finished, index), (-2 * filmLeft) / 1000)) - barVolume(barrel.tubeOuter, barrel.tubeLength)),
    0,
  )
  const blanks = cutLengths.reduce((sum, length) => sum + side * side * length, 0)
  return { kept, away: Math.max(0, blanks - kept) }
}

/** Mass of a volume (mm³) of a density (kg/m³), in g. */
export const massOf = (volume: number, density: number): number => (volume * density) / 1e6
