import { barrelNames, meeting } from '../barrel'
import { airFaults } from '../climate'
import { deepest } from '../sanding'
import { unitWords, type UnitWords } from '../units'
import { blankFaults } from './blank'
import { familyOf, layersFor, productFor, suitability } from './methods'
import { hasFilm } from './method'
import { keepsUntil, shortages } from './needs'
import type { Plan } from './plan'
import { forgives, leastFilm, mayLeave } from './targets'
import type { PlanTrace } from './trace'
import { bleeds, isOily } from './traits'

/** Something a turner should know about a plan: what is so, and what to do about it. `gap`: the plan falls short until it is mended. */
export interface Remark {
  weight: 'gap' | 'note'
  says: string
  remedy: string
  /** The part of the shelf where it is mended. */
  shelf?: 'abrasives' | 'finishes'
}

/** What is missing, what falls short and what the material asks for, gaps first. `today` (ISO 8601) tells which bottles are past their time; without it none are. */
export function remarks(plan: Plan, traced: PlanTrace, units: UnitWords = unitWords('metric'), today?: string): Remark[] {
  return [...shelfGaps(plan), ...bottleGaps(traced, today), ...surfaceGaps(plan, traced), ...sizeGaps(plan, traced, units), ...materialNotes(plan), ...airNotes(plan)]
    .sort((a, b) => Number(a.weight === 'note') - Number(b.weight === 'note'))
}

function shelfGaps({ inputs, steps }: Plan): Remark[] {
  const lacks = (role: Parameters<typeof productFor>[1]) => !productFor(inputs, role)
  const found: Remark[] = []
  const { method } = inputs
  const { missing } = layersFor(inputs)
  const coats = steps.some(step => step.kind === 'coat')
  for (const role of missing) {
    const names = role.replace(/ca\b/, 'CA')
    found.push(coats
      ? { weight: 'gap', says: `No ${names} on the shelf: its coats are left out.`, remedy: `Put ${names} on the shelf, or choose another finish.` }
      : { weight: 'gap', says: `No ${names} on the shelf, so there are no coats in this plan.`, remedy: `Put ${names} on the shelf, then plan again.` })
  }
  if (lacks('accelerator') && method.layers.some(layer => layer.accelerate)) found.push({ weight: 'note', says: 'No accelerator on the shelf: every coat waits to set by itself.', remedy: 'The waits are planned for that.' })
  if (lacks('plastic polish') && method.polishes > 0) found.push({ weight: 'note', says: `No plastic polish on the shelf: the ${hasFilm(method) ? 'film' : 'surface'} stays as the last grit leaves it.`, remedy: 'Put a plastic polish on the shelf for the last gloss.' })
  if (lacks('fine polish') && method.polishes > 1) found.push({ weight: 'note', says: 'No fine polish on the shelf: the cutting polish is the last.', remedy: 'Put a fine polish on the shelf for the last haze.' })
  if (lacks('tube epoxy') && lacks('thin CA') && lacks('medium CA')) found.push({ weight: 'gap', says: 'Nothing on the shelf glues a tube.', remedy: 'Put epoxy or CA on the shelf, then plan again.' })
  return found.map(remark => ({ ...remark, shelf: 'finishes' }))
}

/** Bottles with too little in them, and those opened too long ago. */
function bottleGaps({ needs }: PlanTrace, today: string | undefined): Remark[] {
  const ml = (value: number) => `${value < 10 ? value.toFixed(1) : value.toFixed(0)} ml`
  const short = shortages(needs).map(({ product, short: by, sealed }): Remark => sealed > 0
    ? { weight: 'note', says: `The open bottle of ${product.name} is ${ml(by)} short.`, remedy: 'The next bottle is still sealed: have it at hand, and open it only when this one is empty.' }
    : { weight: 'gap', says: `Not enough ${product.name}: ${ml(by)} is missing.`, remedy: 'Get a bottle before you begin to coat, or choose a thinner finish.', shelf: 'finishes' })
  const old = needs.flatMap(({ product }): Remark[] => {
    const until = keepsUntil(product)
    return today && until && today.slice(0, 10) > until ? [{ weight: 'note', says: `${product.name} was opened on ${product.bottle!.opened!.slice(0, 10)} and keeps until about ${until}.`, remedy: 'Try a drop on scrap: thick or slow means a fresh bottle.' }] : []
  })
  return [...short, ...old]
}

function surfaceGaps(plan: Plan, traced: PlanTrace): Remark[] {
  const found: Remark[] = []
  const last = traced.steps.at(-1)!.after
  const wood = deepest(last.wood)
  const hidden = mayLeave(plan.inputs).value
  const { method } = plan.inputs
  if (wood > hidden + 1e-6) {
    found.push({ weight: 'gap', says: `Scratches ${wood.toFixed(1)} µm deep stay in the blank; ${plan.inputs.wishes.leave !== undefined ? 'you wanted at most' : hasFilm(method) ? 'a film hides' : `a ${method.sheen} forgives`} ${hidden} µm.`, remedy: plan.inputs.wishes.ladder ? 'Look at the sanding ladder.' : `Put a finer dry abrasive on the shelf, about ${hasFilm(method) ? 'P600' : '9 µm or less'}.`, ...(plan.inputs.wishes.ladder ? {} : { shelf: 'abrasives' }) })
  }
  const levels = method.levelling !== 'never'
  const sheen = forgives(method.sheen)
  if (last.coats && levels && !plan.steps.some(step => step.kind === 'level')) {
    found.push({ weight: 'gap', says: 'No wet abrasive from P320 to P800 on the shelf to level the film with.', remedy: 'Put wet P400 and P600 on the shelf, then plan again.', shelf: 'abrasives' })
  } else if (levels && last.filmScratch > sheen.value + 1e-6) {
    found.push({ weight: 'gap', says: `The film keeps scratches of ${last.filmScratch.toFixed(1)} µm; a ${method.sheen} hides ${sheen.value} µm.`, remedy: 'Put finer wet pads or paper on the shelf, about 9 µm or less.', shelf: 'abrasives' })
  }
  const wanted = leastFilm(plan.inputs).value
  if (last.coats && traced.filmThinnest.value < wanted) {
    found.push({ weight: 'gap', says: `Only ${traced.filmThinnest.value.toFixed(0)} µm of film is sure at the thinnest place; ${wanted.toFixed(0)} µm is wanted.`, remedy: method.family === 'CA film' ? 'Add coats, or level with a finer grit.' : 'Allow more coats in the method, or wish for less depth.' })
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

/** How the finish goes with the blank, what the blank added to it, and what it asks for. */
function materialNotes({ inputs }: Plan): Remark[] {
  const { material, method } = inputs
  const found: Remark[] = []
  const { verdict, reasons } = suitability(method.family, material)
  const against = reasons.filter(reason => reason.weight === (verdict === 'does not suit' ? 'against' : 'care'))
  if (verdict !== 'suits') {
    const says = verdict === 'does not suit' ? `${method.name} does not suit ${material.name}` : `${method.name} on ${material.name} asks for care`
    found.push({ weight: verdict === 'does not suit' ? 'gap' : 'note', says: `${says}: ${against.map(reason => lowerFirst(reason.says)).join('; ')}.`, remedy: verdict === 'does not suit' ? 'Look at the other finishes: the ones that suit stand first. Or keep it, knowing this.' : `${familyOf(method.family).asks}.` })
  }
  for (const { says, why } of layersFor(inputs).adjustments) found.push({ weight: 'note', says: `${says}.`, remedy: `${why}.` })
  if (bleeds(material)) found.push({ weight: 'note', says: `${material.name} bleeds: a wet wipe or a wet coat carries its colour.`, remedy: 'Blow it clean, seal it thin, keep its dust off pale wood.' })
  if (isOily(material)) found.push({ weight: 'note', says: `${material.name} is oily: coats can lift and set slowly.`, remedy: bleeds(material) ? 'Thin CA at once after the last grit, without a wet wipe.' : 'Wipe with alcohol just before the first coat and let it flash off.' })
  return found
}

const lowerFirst = (text: string): string => text.startsWith('CA') ? text : text[0]!.toLowerCase() + text.slice(1)

/** What the air would do to the products of the plan, told before their bottles are opened. */
function airNotes({ inputs, steps }: Plan): Remark[] {
  const kinds = new Set(steps.flatMap(step => step.kind === 'coat' && step.product.setsBy ? [step.product.setsBy] : []))
  const faults = [...kinds].flatMap(setsBy => airFaults(inputs.climate, setsBy))
  return [...new Map(faults.map(fault => [fault.kind, fault])).values()].map(({ says, remedy }): Remark => ({ weight: 'note', says, remedy }))
}
