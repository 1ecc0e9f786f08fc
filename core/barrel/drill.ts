import { nth } from '../sure'
import { given, worked, type Figure, type Source } from '../figures'
import { cutSticks, type CutWishes } from './cut'
import { bitOf, type BarrelId, type Fitting } from './fitting'

const TRADE: Source = { mark: 'trade', note: 'common practice on the lathe: 400 to 500 rev/min, seen with the 7 mm bit' }
const BITE: Source = { mark: 'trade', note: 'common practice: about 12 mm (1/2 in), then withdraw and clear' }
/** The bit that the 400 to 500 rev/min of the trade belong to, mm. */
const TRADE_BIT = 7
const TRADE_SPEED = { slow: 400, fast: 500 }

/** How one barrel is drilled. */
export interface Drilling {
  /** Which barrel. */
  barrel: BarrelId
  /** Diameter of the bit, mm. */
  bit: Figure
  /** Right through the cut piece, mm. */
  depth: Figure
  /** Spindle speeds, rev/min: the surface speed that the trade drills at with a 7 mm bit; never faster than that. */
  slow: Figure
  /** The fastest the bit may turn, rev/min. */
  fast: Figure
  /** How often the bit is withdrawn and cleared. */
  bites: number
  /** How far it goes in before the chips are cleared, mm. */
  bite: Figure
  /** Which end it is entered from: the middle cut on two barrels, so that the grain meets where the bit has wandered least. */
  from: 'middle cut' | 'either end'
}

/** How each barrel of a fitting is drilled: bit, speed, depth, bites and direction. */
export function drilling(fitting: Fitting, wishes: CutWishes): Drilling[] {
  return cutSticks(fitting, wishes).pieces.map(({ barrel: id, length }, index) => {
    const bit = given('bit', bitOf(fitting, nth(fitting.barrels, index)), 'mm', fitting.source)
    const bite = given('drilled at a time', 12, 'mm', BITE)
    return {
      barrel: id,
      bit,
      bite,
      depth: length,
      slow: speedFor(TRADE_SPEED.slow, bit),
      fast: speedFor(TRADE_SPEED.fast, bit),
      bites: Math.ceil(length.value / bite.value - 1e-9),
      from: fitting.barrels.length > 1 ? 'middle cut' : 'either end',
    }
  })
}

/** A wider bit turns slower, so that its rim goes as fast; a narrower one is not driven faster than the trade does. */
function speedFor(tradeSpeed: number, bit: Figure): Figure {
  const usual = given('usual drilling speed', tradeSpeed, 'rev/min', TRADE)
  return worked(
    'drilling speed',
    Math.round((tradeSpeed * Math.min(1, TRADE_BIT / bit.value)) / 10) * 10,
    'rev/min',
    'the same surface speed as a 7 mm bit, to the nearest 10',
    [usual, bit],
  )
}
