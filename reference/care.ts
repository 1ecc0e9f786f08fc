import type { FinishFamily } from '../core/method'

/**
 * What whoever gets a pen should know of its finish: how it is kept, and what harms it [trade: common practice, no source; nothing here
 * was measured].
 */
export const care: Readonly<Record<FinishFamily, readonly string[]>> = {
  'CA film': ['Wipe it with a soft dry cloth.', 'Keep it from acetone and other solvents, and out of the hot sun in a car.'],
  'friction polish': [
    'Wipe it with a soft dry cloth.', 'Handling wears it: a little wax once in a while keeps its shine.', 'Alcohol and hand gel dull it.',
  ],
  'sealer and polish': ['Wipe it with a soft dry cloth.', 'A little wax once in a while keeps its shine.', 'Alcohol and hand gel dull it.'],
  'sealer and lacquer': ['Wipe it with a soft cloth, damp at the most.', 'Keep it from solvents and hand gel.'],
  'conditioner and wax': ['The wax wears where it is held: rub a little on with a soft cloth and buff it.', 'Keep it dry.'],
  'wipe-on': ['Wipe it with a soft cloth, damp at the most.', 'Keep it from solvents.'],
  'oil': [
    'It darkens where it is held, and is meant to.', 'Where it looks dry a thin coat of oil, wiped off, brings it back.', 'Keep it dry.',
  ],
  'hard wax': ['Where it looks dull a little wax, buffed with a soft cloth, brings it back.', 'Keep it dry and out of great heat.'],
  'bare polish': ['Wipe it with a soft dry cloth; a plastic polish takes fine scratches out.', 'Keep it from solvents.'],
  'spray lacquer': ['Wipe it with a soft cloth, damp at the most.', 'Keep it from solvents and hand gel.'],
}
/** What holds for every pen. */
export const careOfAll: readonly string[] = [
  'A new refill goes in where the old one comes out: turn it, never force it.', 'Do not leave it in water.',
]
