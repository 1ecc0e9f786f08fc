import { given, worked, type Figure } from '../figures'
import { bitOf, type Barrel, type Fitting } from './fitting'

/** What gluing one tube takes. */
export interface TubeGlue {
  /** Play round the tube, mm on the diameter. */
  play: Figure
  /** Glue that fills it, mm³ (a thousandth of a ml). */
  volume: Figure
  /** Brass to scuff and cover all over, mm². */
  area: Figure
  /** `tight`: it may seize or scrape its glue off. `loose`: CA does not bridge it, epoxy does. */
  fit: 'tight' | 'good' | 'loose'
}

/** Play below which a tube seizes, and above which CA does not fill, mm on the diameter [model]. */
const FIT = { tight: 0.03, loose: 0.3 }

/** How a barrel's tube sits in its bore, and the glue that covers it all over. */
export function tubeGlue(fitting: Fitting, barrel: Barrel): TubeGlue {
  const bit = given('bit', bitOf(fitting, barrel), 'mm', fitting.source)
  const tube = given('tube outside', barrel.tubeOuter, 'mm', fitting.source)
  const length = given('tube length', barrel.tubeLength, 'mm', fitting.source)
  const play = worked('play round the tube', bit.value - tube.value, 'mm', 'bit − tube', [bit, tube])
  return {
    play,
    volume: worked(
      'glue to fill the play',
      (Math.PI / 4) * Math.max(0, bit.value ** 2 - tube.value ** 2) * length.value,
      'mm³',
      'π/4 · (bit² − tube²) · length',
      [bit, tube, length],
    ),
    area: worked('brass to cover', Math.PI * tube.value * length.value, 'mm²', 'π · tube · length', [tube, length]),
    fit: play.value < FIT.tight ? 'tight' : play.value > FIT.loose ? 'loose' : 'good',
  }
}
