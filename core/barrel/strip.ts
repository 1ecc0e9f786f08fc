import { must, nth } from '../sure'
import type { Barrel, BarrelId, Fitting } from './fitting'
import { diameterAt, fattest, type Profile } from './profile'
import { finishedProfile, type Shape } from './shape'

/** A barrel as it lies on the strip, in mm from the strip's left edge. */
export interface LaidBarrel {
  /** The barrel as the fitting has it. */
  barrel: Barrel
  /** Its finished outline. */
  profile: Profile
  /** Where its tip end lies, mm from the left. */
  x: number
}

export interface LaidBushing {
  /** Where it begins, mm from the left. */
  x: number
  /** How wide it is, mm. */
  width: number
  /** How thick it is, mm. */
  diameter: number
}

export interface LaidStrip {
  /** Length of everything, mm. */
  width: number
  /** Greatest diameter, mm. */
  height: number
  /** Barrels from tip to clip. */
  barrels: LaidBarrel[]
  /** Bushings before, between and behind them. */
  bushings: LaidBushing[]
}

const SHAFT = 6
const BUSHING = 9

/** Lays a fitting out side on and to scale, the tip at the left: shaft, bushings and barrels in their shapes, in mm. */
export function layStrip(fitting: Fitting, shapes: Partial<Record<BarrelId, Shape>> = {}): LaidStrip {
  const barrels: LaidBarrel[] = []
  const bushings: LaidBushing[] = []
  let x = SHAFT
  const bushing = (diameter: number) => {
    bushings.push({ x, width: BUSHING, diameter })
    x += BUSHING
  }
  for (const barrel of fitting.barrels) {
    bushing(barrel.tipEnd)
    barrels.push({ barrel, x, profile: finishedProfile(barrel, shapes[barrel.id]) })
    x += barrel.tubeLength
  }
  bushing(nth(fitting.barrels, fitting.barrels.length - 1).clipEnd)
  const thickest = Math.max(...barrels.map(one => Math.max(fattest(one.profile).diameter, one.barrel.tubeOuter)))
  return { width: x + SHAFT, height: thickest + 1, barrels, bushings }
}

/** A place on the drawing, to a thousandth of a mm. */
const place = (mm: number): number => Math.round(mm * 1000) / 1000

/** Places along a barrel between which its outline is drawn straight; close enough to look round. */
const SAMPLES = 40

/** The outline of a barrel as an SVG path about the centre line `y`. */
export function outline({ barrel, profile, x }: LaidBarrel, y: number): string {
  const places = Array.from({ length: SAMPLES + 1 }, (_, index) => (index / SAMPLES) * barrel.tubeLength)
  const side = (way: 1 | -1) => (at: number) => `${place(x + at)} ${place(y + (way * diameterAt(profile, at)) / 2)}`
  return `M${places.map(side(-1)).join('L')}L${places.reverse().map(side(1)).join('L')}Z`
}

/** Grain lines along a barrel, the same each time for the same barrel. */
export function grainLines({ barrel, x }: Pick<LaidBarrel, 'barrel' | 'x'>, y: number): string[] {
  const radius = Math.min(barrel.tipEnd, barrel.clipEnd) / 2
  return [-0.72, -0.42, -0.1, 0.24, 0.5, 0.8].map((part, index) => {
    const at = y + part * radius
    const sway = (((index * 37 + Math.round(barrel.tubeLength * 7)) % 9) - 4) / 9
    const length = barrel.tubeLength
    return `M${x} ${at}C${x + length * 0.3} ${at + sway} ${x + length * 0.55} ${at - sway * 1.4} ${x + length} ${at + sway * 0.5}`
  })
}

/** A place on a pen: the barrel, mm from its tip end, and degrees around from the side that faces the turner, downward. */
export interface StripPlace {
  /** On which barrel. */
  barrel: BarrelId
  /** Distance from its tip end, mm. */
  fromTip: number
  /** Where around it, degrees from the witness mark. */
  around: number
}

/**
 * The place under a point `mm` along the strip and `down` mm from its top; undefined beside the barrels. Only the near side can be
 * pointed at.
 */
export function placeAt(strip: LaidStrip, mm: number, down: number): StripPlace | undefined {
  const hit = strip.barrels.find(({ barrel, x }) => mm >= x && mm <= x + barrel.tubeLength)
  if (!hit) return undefined
  const fromTip = Math.round((mm - hit.x) * 10) / 10
  const radius = diameterAt(hit.profile, fromTip) / 2
  const up = Math.min(1, Math.max(-1, (down - strip.height / 2) / radius))
  return { barrel: hit.barrel.id, fromTip, around: (Math.round((Math.asin(up) * 180) / Math.PI) + 360) % 360 }
}

/**
 * Where a place lies on the strip, mm from its left and its top, and whether it is on the far side. All round, or nobody said: the
 * middle.
 */
export function pointOf(
  strip: LaidStrip,
  { barrel, fromTip, around }: Pick<StripPlace, 'barrel' | 'fromTip'> & { around?: number },
): { x: number, y: number, far: boolean } {
  const laid = must(strip.barrels.find(one => one.barrel.id === barrel), 'the barrel is one of the strip')
  const radius = diameterAt(laid.profile, Math.min(fromTip, laid.barrel.tubeLength)) / 2
  return {
    x: laid.x + fromTip,
    y: strip.height / 2 + (around === undefined ? 0 : Math.sin((around * Math.PI) / 180) * radius),
    far: around !== undefined && around > 90 && around < 270,
  }
}
