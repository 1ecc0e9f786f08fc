import { nth } from '../sure'
import { counted, trimmed } from '../format'
import { bitOf, type Fitting } from './fitting'
import { tubeGlue } from './tube'

/** What the shelf holds for one pen: bits by diameter (mm), sets of the fitting, and whether its bushings are there. */
export interface PartsStock {
  /** Drill bits in the shop by diameter, mm. */
  bits: readonly { diameter: number, count: number }[]
  /** Sets of this fitting. */
  sets: number
  /** Whether bushings for it are there. */
  bushings: 'there' | 'missing' | 'not known'
}

/** One line of the parts check. */
export interface PartLine {
  /** Which part. */
  what: 'set' | 'bit' | 'bushings'
  /** Whether it is there. */
  state: 'there' | 'missing' | 'not known'
  /** The same in words. */
  says: string
  /** What to do when it is not there. */
  remedy?: string
}

/** Bits nearer than this, mm, count as the same: 3/8 in is sold as 9.5 mm. */
const SAME_BIT = 0.05

const mm = (value: number): string => `${trimmed(value, 2)} mm`

/** Whether the sets, the bits and the bushings for so many pens are on the shelf, and what would do instead. */
export function partsCheck(fitting: Fitting, stock: PartsStock, pens = 1): PartLine[] {
  const bits = [...new Set(fitting.barrels.map(barrel => bitOf(fitting, barrel)))].map(bit => bitLine(fitting, bit, stock.bits))
  const bushings: PartLine = {
    'there': { what: 'bushings', state: 'there', says: 'Bushings on the shelf' } as const,
    'missing': {
      what: 'bushings',
      state: 'missing',
      says: 'No bushings for it',
      remedy: 'Turn between centres and go by the callipers, or order them.',
    } as const,
    'not known': {
      what: 'bushings',
      state: 'not known',
      says: 'Whether its bushings are there is not known',
      remedy: 'Say so on the shelf.',
    } as const,
  }[stock.bushings]
  return [setLine(stock.sets, pens), ...bits, bushings]
}

function setLine(sets: number, pens: number): PartLine {
  const there = sets === 0 ? 'No set of this fitting' : `${counted(sets, 'set')} of this fitting`
  if (sets >= pens) return { what: 'set', state: 'there', says: `${there} on the shelf` }
  const one = pens - sets === 1
  return {
    what: 'set',
    state: 'missing',
    says: sets === 0 ? `${there} on the shelf` : `${there} on the shelf, for ${pens} pens`,
    remedy: pens === 1
      ? 'Count it on the shelf, or order one before you cut.'
      : `Count ${one ? 'it' : 'them'} on the shelf, or order ${pens - sets} before you cut.`,
  }
}

function bitLine(fitting: Fitting, bit: number, bits: PartsStock['bits']): PartLine {
  const there = bits.filter(one => one.count > 0)
  if (there.some(one => Math.abs(one.diameter - bit) < SAME_BIT))
    return { what: 'bit', state: 'there', says: `${mm(bit)} bit on the shelf` }
  const barrels = fitting.barrels.filter(barrel => bitOf(fitting, barrel) === bit)
  const instead = there
    .filter(one => barrels.every(barrel => tubeGlue({ ...fitting, bit: one.diameter }, { ...barrel, bit: one.diameter }).fit === 'good'))
    .sort((a, b) => Math.abs(a.diameter - bit) - Math.abs(b.diameter - bit))[0]
  return {
    what: 'bit',
    state: 'missing',
    says: `No ${mm(bit)} bit on the shelf`,
    remedy: instead
      ? `The ${mm(instead.diameter)} bit there leaves ${mm(instead.diameter - nth(barrels, 0).tubeOuter)} of play round the tube: `
      + `it will do.`
      : 'No other bit there suits the tube: order one before you cut.',
  }
}
