import { nth } from '../../sure'
import {
  barrelSection,
  diameterAt,
  drillWander,
  drilling,
  fattest,
  finishedProfile,
  grown,
  massOf,
  metalAt,
  overMetal,
  thinnestWall,
  tubeGlue,
  turnedEnds,
  usualShape,
  wiseSquare,
  woodVolumes,
  type Barrel,
  type BarrelId,
  type CutWishes,
  type Drilling,
  type End,
  type Profile,
  type Section,
  type Shape,
  type Stick,
  type ThinnestWall,
  type TubeGlue,
  type TurnedEnd,
} from '../../barrel'
import { given, worked, type Figure } from '../../figures'
import { density } from '../../shelf'
import type { PlanInputs } from '../model'

/** Thinnest wood over the brass that is left without a word, mm, unless the turner says otherwise [model]. */
export const LEAST_WALL = 0.4

/** One end as it will be turned: as worked out, or as the turner rather has it, and how it then meets the metal. */
export interface SizedEnd extends TurnedEnd {
  /** The turner's own diameter, mm. */
  own?: number
  /** What it stands over the metal once finished, mm on the diameter: 0 when turned as worked out. */
  over: number
}

/** One barrel worked out from its fitting, shape, sanding and film. */
export interface SizedBarrel {
  /** The barrel as the fitting has it. */
  barrel: Barrel
  /** Its shape as wanted. */
  shape: Shape
  /** Its finished outline, with the film. */
  finished: Profile
  /** The outline to turn to, before sanding. */
  turned: Profile
  /** Where the wood ends thinnest. */
  wall: ThinnestWall
  /** The least stick it comes out of. */
  section: Section
  /** How it is drilled. */
  drilling: Drilling
  /** The glue of its tube. */
  glue: TubeGlue
  /** Its two ends, tip first. */
  ends: SizedEnd[]
}

export interface Sized {
  /** From tip to clip. */
  barrels: SizedBarrel[]
  /** The barrel that asks for most, and so the least square section that can be, mm. */
  section: Figure
  /** The square that is wise to cut, mm. */
  square: Figure
  /** The thinnest wood of the pen, mm. */
  leastWall: Figure
  /** Wood in the finished barrels, g, and what is turned and drilled away from blanks of that section. */
  mass: Figure
  /** Wood that goes away at the thinnest place, mm. */
  away: Figure
}

/** Every length and diameter of the barrels. */
export function sizeOf(inputs: PlanInputs, stick: Stick, cut: CutWishes, sandingTakes: Figure, filmLeft: Figure): Sized {
  const { fitting, habits } = inputs
  const ends = turnedEnds(fitting, sandingTakes, filmLeft)
  const drills = drilling(fitting, cut)
  const wander = drillWander(habits?.wander)
  const barrels = fitting.barrels.map((barrel, index): SizedBarrel => {
    const shape = inputs.wishes.shapes?.[barrel.id] ?? usualShape
    const finished = finishedProfile(barrel, shape)
    return {
      barrel,
      shape,
      finished,
      turned: grown(finished, (2 * (sandingTakes.value - filmLeft.value)) / 1000),
      wall: thinnestWall(fitting.source, barrel, finished, filmLeft),
      section: barrelSection(finished, nth(stick.pieces, index).length, wander),
      drilling: nth(drills, index),
      glue: tubeGlue(fitting, barrel),
      ends: ends.filter(end => end.barrel === barrel.id).map(end => sizedEnd(inputs, end)),
    }
  })
  const most = barrels.reduce((a, b) => (b.section.side.value > a.section.side.value ? b : a))
  const volumes = woodVolumes(
    fitting,
    barrels.map(one => one.finished),
    filmLeft.value,
    most.section.side.value,
    stick.pieces.map(piece => piece.length.value),
  )
  const heavy = density(inputs.material)
  const weigh = (label: string, volume: number, note: string) =>
    worked(label, massOf(volume, heavy.value), 'g', note, [worked('volume', volume, 'mm³', 'along the outline', []), heavy])
  return {
    barrels,
    section: most.section.side,
    square: wiseSquare(most.section.side),
    leastWall:
      habits?.leastWall != null
        ? given('least wall over the tube', habits.leastWall, 'mm')
        : given('least wall over the tube', LEAST_WALL, 'mm', { mark: 'model', note: 'starting value' }),
    mass: weigh('mass of wood in the barrels', volumes.kept, 'volume between brass and film × density'),
    away: weigh('turned and drilled away', volumes.away, 'blanks of the least section − what stays, × density'),
  }
}

function sizedEnd(inputs: PlanInputs, end: TurnedEnd): SizedEnd {
  const own = inputs.wishes.ends?.find(one => one.barrel === end.barrel && one.end === end.end)?.diameter
  return own === undefined ? { ...end, over: 0 } : { ...end, own, over: overMetal(own, end) }
}

/** All ends of a sized pen, from the tip to the clip. */
export const endsOf = (sized: Sized): SizedEnd[] => sized.barrels.flatMap(one => one.ends)

/** Diameter of the metal at a place of a barrel when it is an end; the finished outline between the ends. mm. */
export function finishedAt({ barrel, finished }: SizedBarrel, fromTip: number): { diameter: number, end?: End } {
  const end: End | undefined = fromTip <= END_REACH ? 'tip' : fromTip >= barrel.tubeLength - END_REACH ? 'clip' : undefined
  return end ? { diameter: metalAt(barrel, end), end } : { diameter: diameterAt(finished, fromTip) }
}

/** A calliper this near to an end measures the end, mm. */
const END_REACH = 1

/** The places where a barrel is measured: its ends, and where it is fattest (or its middle). */
export function stations({ barrel, finished }: SizedBarrel): { name: string, fromTip: number }[] {
  const fat = fattest(finished).at
  const between = fat > END_REACH && fat < barrel.tubeLength - END_REACH
  return [
    { name: 'tip end', fromTip: 0 },
    between ? { name: 'fattest', fromTip: Math.round(fat * 10) / 10 } : { name: 'middle', fromTip: Math.round(barrel.tubeLength * 5) / 10 },
    { name: 'clip end', fromTip: barrel.tubeLength },
  ]
}

export const sizedBarrel = (sized: Sized, id: BarrelId): SizedBarrel | undefined => sized.barrels.find(one => one.barrel.id === id)
