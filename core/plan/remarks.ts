import { barrelNames, meeting } from '../barrel'
import { BLOOM_HUMIDITY } from '../climate'
import { deepest } from '../sanding'
import { unitWords, type UnitWords } from '../units'
import { blankFaults } from './blank'
import { productFor } from './methods/ca-film'
import type { Plan } from './plan'
import { glossForgives, leastFilm, mayLeave } from './targets'
import type { PlanTrace } from './trace'
import { bleeds, isOily, isResin } from './traits'

/** Something a turner should know about a plan: what is so, and what to do about it. `gap`: the plan falls short until it is mended. */
export interface Remark {
  weight: 'gap' | 'note'
  says: string
  remedy: string
}

/** What is missing, what falls short and what the material asks for, gaps first. */
export function remarks(plan: Plan, traced: PlanTrace, units: UnitWords = unitWords('metric')): Remark[] {
  return [...shelfGaps(plan), ...surfaceGaps(plan, traced), ...sizeGaps(plan, traced, units), ...materialNotes(plan)]
    .sort((a, b) => Number(a.weight === 'note') - Number(b.weight === 'note'))
}

function shelfGaps({ inputs }: Plan): Remark[] {
  const lacks = (role: Parameters<typeof productFor>[1]) => !productFor(inputs, role)
  const found: Remark[] = []
  if (lacks('thin CA')) found.push({ weight: 'gap', says: 'No thin CA on the shelf, so there are no coats in this plan.', remedy: 'Put thin CA on the shelf, then plan again.' })
  if (lacks('accelerator')) found.push({ weight: 'note', says: 'No accelerator on the shelf: every coat waits to set by itself.', remedy: 'The waits are planned for that.' })
  if (lacks('plastic polish')) found.push({ weight: 'note', says: 'No plastic polish on the shelf: the film stays as the last grit leaves it.', remedy: 'Put a plastic polish on the shelf for the last gloss.' })
  if (lacks('tube epoxy') && lacks('thin CA') && lacks('medium CA')) found.push({ weight: 'gap', says: 'Nothing on the shelf glues a tube.', remedy: 'Put epoxy or CA on the shelf, then plan again.' })
  return found
}

function surfaceGaps(plan: Plan, traced: PlanTrace): Remark[] {
  const found: Remark[] = []
  const last = traced.steps.at(-1)!.after
  const wood = deepest(last.wood)
  const hidden = mayLeave(plan.inputs.wishes).value
  if (wood > hidden + 1e-6) {
    found.push({ weight: 'gap', says: `Scratches ${wood.toFixed(1)} µm deep stay in the blank; ${plan.inputs.wishes.leave === undefined ? 'a film hides' : 'you wanted at most'} ${hidden} µm.`, remedy: plan.inputs.wishes.ladder ? 'Look at the sanding ladder.' : 'Put a finer dry abrasive on the shelf, about P600.' })
  }
  if (last.coats && !plan.steps.some(step => step.kind === 'level')) {
    found.push({ weight: 'gap', says: 'No wet abrasive from P320 to P800 on the shelf to level the film with.', remedy: 'Put wet P400 and P600 on the shelf, then plan again.' })
  } else if (last.filmScratch > glossForgives.value + 1e-6) {
    found.push({ weight: 'gap', says: `The film keeps scratches of ${last.filmScratch.toFixed(1)} µm; a high gloss hides ${glossForgives.value} µm.`, remedy: 'Put finer wet pads or paper on the shelf, about 9 µm or less.' })
  }
  const wanted = leastFilm(plan.inputs.wishes.film).value
  if (last.coats && traced.filmThinnest.value < wanted) {
    found.push({ weight: 'gap', says: `Only ${traced.filmThinnest.value.toFixed(0)} µm of film is sure at the thinnest place; ${wanted} µm is wanted.`, remedy: 'Add coats, or level with a finer grit.' })
  }
  const lifted = traced.steps.find(one => one.grit?.jump !== undefined && one.grit.jump > plan.inputs.method.greatestJump + 1e-6)
  if (lifted?.grit?.jump) {
    found.push({ weight: 'note', says: `From ${lifted.grit.grain.label.replace('grain of ', '')} back to the grit before it is a jump of ${lifted.grit.jump.toFixed(1)}.`, remedy: 'A grit between them on the shelf would be quicker and surer.' })
  }
  return found
}

/** Walls that get too thin and where, ends that will not be flush, tubes that do not suit their bore, and what the blank is too small for. */
function sizeGaps({ inputs }: Plan, { size, ends, ...rest }: PlanTrace, units: UnitWords): Remark[] {
  const found: Remark[] = []
  for (const { barrel, wall, glue } of size.barrels) {
    const name = barrelNames[barrel.id]
    if (wall.wall.value < size.leastWall.value) {
      const where = wall.at <= 0 ? 'its tip end' : wall.at >= barrel.tubeLength ? 'its clip end' : `${units.length(wall.at, 0)} from its tip end`
      found.push({
        weight: 'gap',
        says: wall.wall.value > 0 ? `Only ${units.length(wall.wall.value)} of wall is left over the tube of the ${name}, ${where}; ${units.length(size.leastWall.value)} is wanted.` : `No wall is left over the tube of the ${name}, ${where}.`,
        remedy: wall.at <= 0 || wall.at >= barrel.tubeLength ? 'Choose a fitting with more metal there, or a thinner film.' : 'Choose a fuller shape.',
      })
    }
    if (glue.fit === 'loose') found.push({ weight: 'note', says: `The tube of the ${name} has ${units.length(glue.play.value)} of play in its bore.`, remedy: 'CA does not bridge that: glue it with epoxy.' })
    if (glue.fit === 'tight') found.push({ weight: 'note', says: `The tube of the ${name} has ${units.length(glue.play.value)} of play in its bore.`, remedy: 'It may seize half way: try it dry, and ream the bore.' })
  }
  for (const end of ends) {
    const meets = meeting(end.over)
    if (meets !== 'flush') found.push({ weight: 'note', says: `Turned to your own ${units.length(end.own!)}, the ${end.end} end of the ${barrelNames[end.barrel]} ends ${units.length(Math.abs(end.over))} ${meets}.`, remedy: `${units.length(end.diameter.value)} would end flush.` })
  }
  for (const fault of inputs.blank ? blankFaults(inputs.blank, { size, ends, ...rest }, mm => units.length(mm, 1)) : []) found.push({ weight: 'gap', says: fault.says, remedy: fault.remedy })
  return found
}

function materialNotes({ inputs }: Plan): Remark[] {
  const { material, climate } = inputs
  const found: Remark[] = []
  if (isResin(material)) found.push({ weight: 'note', says: 'Cast resin is usually polished bare, to glass, without a film.', remedy: 'This plan puts a CA film over it; skip the coats and polish the resin if you rather would.' })
  if (bleeds(material)) found.push({ weight: 'note', says: `${material.name} bleeds: a wet wipe or a wet coat carries its colour.`, remedy: 'Blow it clean, seal with thin CA, keep its dust off pale wood.' })
  if (isOily(material)) found.push({ weight: 'note', says: `${material.name} is oily: coats can lift and set slowly.`, remedy: bleeds(material) ? 'Thin CA at once after the last grit, without a wet wipe.' : 'Wipe with alcohol just before the first coat and let it flash off.' })
  if (climate.humidity > BLOOM_HUMIDITY) found.push({ weight: 'note', says: `At ${climate.humidity.toFixed(0)} % humidity CA may bloom white.`, remedy: 'Warm or dry the air, or coat on a drier evening.' })
  return found
}
