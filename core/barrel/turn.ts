import { given, worked, type Figure, type Source } from '../figures'
import { barrelNames, ends, metalAt, type Barrel, type BarrelId, type End, type Fitting } from './fitting'

/** What one end of a barrel is turned to before sanding. */
export interface TurnedEnd {
  /** Which barrel. */
  barrel: BarrelId
  /** Which of its two ends. */
  end: End
  /** Diameter to turn to, mm. */
  diameter: Figure
  /** Diameter of the metal it meets, mm. */
  metal: Figure
  /** Above 0: leave the wood proud of the metal by this much (mm on the diameter); below 0: under it. */
  proud: number
  /** Wood over the brass at this end once sanded, mm. */
  wall: Figure
  /** The bushing as measured, and how far the wood stands over it when turned to size (below 0: under it); mm on the diameter. */
  bushing?: { measured: Figure, over: number }
}

/** A step at the metal smaller than this, mm, no fingernail finds [model]. */
export const FLUSH = 0.02

export type Meeting = 'proud' | 'flush' | 'shy'

/** How wood meets metal, from what it stands over it, mm on the diameter. */
export const meeting = (over: number): Meeting => (Math.abs(over) / 2 <= FLUSH + 1e-9 ? 'flush' : over > 0 ? 'proud' : 'shy')

/**
 * The diameter to turn an end to, in mm, so that sanding and film bring it flush with the metal:
 * metal + 2 · what sanding takes in depth - 2 · the film left. `sandingTakes` and `filmLeft` are depths in µm.
 */
export function turnTo(metal: Figure, sandingTakes: Figure, filmLeft: Figure): Figure {
  const value = metal.value + (2 * (sandingTakes.value - filmLeft.value)) / 1000
  return worked('turn to', value, 'mm', 'metal + 2 × sanding − 2 × film', [metal, sandingTakes, filmLeft])
}

/** What an end turned to `diameter` mm stands over its metal once sanded and finished, mm on the diameter. */
export const overMetal = (diameter: number, turned: Pick<TurnedEnd, 'diameter'>): number => diameter - turned.diameter.value

/** Turn-to diameter and remaining wall for every end of a fitting, from the tip to the clip. */
export function turnedEnds(fitting: Fitting, sandingTakes: Figure, filmLeft: Figure): TurnedEnd[] {
  return fitting.barrels.flatMap(barrel => ends.map(end => turnedEnd(fitting.source, barrel, end, sandingTakes, filmLeft)))
}

function turnedEnd(source: Source, barrel: Barrel, end: End, sandingTakes: Figure, filmLeft: Figure): TurnedEnd {
  const name = barrelNames[barrel.id]
  const metal = given(`metal at the ${end} end, ${name}`, metalAt(barrel, end), 'mm', source)
  const diameter = turnTo(metal, sandingTakes, filmLeft)
  const tube = given(`tube outside, ${name}`, barrel.tubeOuter, 'mm', source)
  const thinnest = (diameter.value - tube.value) / 2 - sandingTakes.value / 1000
  const wall = worked('wall once sanded', thinnest, 'mm', '(turn-to − tube) / 2 − sanding', [diameter, tube, sandingTakes])
  const worn = barrel.bushings?.[end]
  const bushing
    = worn === undefined
      ? {}
      : {
          bushing: {
            measured: { ...given(`bushing at the ${end} end, ${name}`, worn, 'mm'), origin: 'measured' as const },
            over: diameter.value - worn,
          },
        }
  return { barrel: barrel.id, end, diameter, metal, proud: diameter.value - metal.value, wall, ...bushing }
}
