import { barrelNames, meeting } from '../../../barrel'
import type { UnitWords } from '../../../units'
import { blankFaults } from '../../judge'
import type { Plan } from '../../model'
import type { PlanTrace, SizedBarrel, SizedEnd } from '../../trace'
import type { Remark } from './remark'

/**
 * Walls that get too thin and where, ends that will not be flush, tubes that do not suit their bore, and what the blank is too small
 * for.
 */
export function sizeGaps({ inputs: { blank } }: Plan, whole: PlanTrace, units: UnitWords): Remark[] {
  const { size, ends } = whole
  const faults = blank ? blankFaults(blank, whole, mm => units.length(mm, 1)) : []
  return [
    ...size.barrels.flatMap(barrel => [...thinWall(barrel, size.leastWall.value, units), ...tubePlay(barrel, units)]),
    ...ends.flatMap(end => offTheMetal(end, units)),
    ...faults.map(({ says, remedy }): Remark => ({ weight: 'gap', says, remedy })),
  ]
}

function thinWall({ barrel, wall: { wall, at } }: SizedBarrel, least: number, units: UnitWords): Remark[] {
  if (wall.value >= least) return []
  const end = at <= 0 ? 'tip' : at >= barrel.tubeLength ? 'clip' : undefined
  const where = end ? `its ${end} end` : `${units.length(at, 0)} from its tip end`
  const over = `over the tube of the ${barrelNames[barrel.id]}, ${where}`
  const says
    = wall.value > 0
      ? `Only ${units.length(wall.value)} of wall is left ${over}; ${units.length(least)} is wanted.`
      : `No wall is left ${over}.`
  return [{ weight: 'gap', says, remedy: end ? 'Choose a fitting with more metal there, or a thinner film.' : 'Choose a fuller shape.' }]
}

function tubePlay({ barrel, glue }: SizedBarrel, units: UnitWords): Remark[] {
  if (glue.fit === 'good') return []
  const says = `The tube of the ${barrelNames[barrel.id]} has ${units.length(glue.play.value)} of play in its bore.`
  const loose = glue.fit === 'loose'
  const remedy = loose ? 'CA does not bridge that: glue it with epoxy.' : 'It may seize half way: try it dry, and ream the bore.'
  return [{ weight: 'note', says, remedy }]
}

function offTheMetal({ own, over, end, barrel, diameter }: SizedEnd, units: UnitWords): Remark[] {
  const meets = meeting(over)
  if (own === undefined || meets === 'flush') return []
  const ends = `the ${end} end of the ${barrelNames[barrel]} ends ${units.length(Math.abs(over))} ${meets}`
  return [
    {
      weight: 'note',
      says: `Turned to your own ${units.length(own)}, ${ends}.`,
      remedy: `${units.length(diameter.value)} would end flush.`,
    },
  ]
}
