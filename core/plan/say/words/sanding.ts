import { abrasiveName } from '../../../abrasives'
import { decimal, micrometres } from '../../../format'
import { hasFilm } from '../../../method'
import { grainOf, isPad, isSoft, sandsWet } from '../../../shelf'
import { isGrit, sandSpeed, type Step } from '../../model'
import { riskWords } from './chance'
import type { Scene, Writers } from './writer'

/** Everything that is done with an abrasive, and the soft wood before it. */
export const sanding: Writers<'harden' | 'sand' | 'burnish' | 'cut back' | 'level' | 'smooth'> = {
  'harden': ({ product }, { plan }) => ({
    title: `${product.name} to harden`,
    done: 'Soaked in',
    how: 'Let thin CA soak in all over; no accelerator',
    why: isSoft(plan.inputs.material) ? 'Soft wood tears and dents under the paper' : 'It binds the fibres before the paper reaches them',
  }),
  'sand': ({ abrasive }, scene) => {
    const { inputs } = scene.plan
    const wet = sandsWet(inputs.material, abrasive)
    const rest = wet
      ? 'wet, light hand; stop, along the barrel, wipe off the white residue, look'
      : 'dry, keep moving; stop, with-grain pass, wipe, look'
    return {
      title: abrasiveName(abrasive),
      done: 'Scratches gone',
      how: `${sandSpeed(inputs).value} rev/min, ${rest}`,
      why: gritWhy(scene),
    }
  },
  'burnish': () => ({
    title: 'Burnish with shavings',
    done: 'Burnished',
    how: 'Lathe running, a handful of its own dry shavings, firm, end to end',
    why: 'It lays the fibres down and clears the dust',
  }),
  'cut back': ({ abrasive }) => ({
    title: `Cut back with ${abrasiveName(abrasive)}`,
    done: 'Even and dull',
    how: 'Lathe stopped, along the barrel, a few light strokes; wipe',
    why: 'It takes the nibs and gives the next coat something to hold to',
  }),
  'level': ({ abrasive }, { traced: { before, after, risk } }) => {
    const [takes, of] = [before.film.mean - after.film.mean, before.film.mean]
    const risky = risk ? `${riskWords(risk)} at the edges; ` : ''
    return {
      title: `Level with ${abrasiveName(abrasive)}`,
      done: 'No shiny spot left',
      how: `Wet, ${micrometres(grainOf(abrasive))} µm grain, lathe stopped, end to end, until no shiny spot is left`,
      why: `Takes ${micrometres(takes)} of ${micrometres(of)} µm; ${risky}colour on the paper means stop`,
    }
  },
  'smooth': ({ abrasive }, scene) => ({
    title: abrasiveName(abrasive),
    done: 'Scratches gone',
    how: 'Wet, light hand, keep moving; wipe off the white residue',
    why: gritWhy(scene),
  }),
}

/** More than one piece: fresh ones, fresh ones after the one in hand, or a pad that is rinsed. */
function piecesIn(step: Step, pieces: number): string[] {
  if (pieces <= 1 || !isGrit(step)) return []
  if (isPad(step.abrasive)) return [pieces === 2 ? 'rinsed once' : 'rinsed twice']
  return [step.abrasive.worn ? `the piece in hand, then ${pieces - 1} fresh` : `${pieces} fresh pieces`]
}

/** What a grit does, and why nothing of it is seen in the end. */
function gritWhy({ traced: { step, grit }, plan }: Scene): string {
  if (!grit) return ''
  const next = plan.steps[plan.steps.indexOf(step) + 1]
  const isLast = !next || next.phase !== step.phase || !isGrit(next)
  const hidden = step.kind === 'sand' && hasFilm(plan.inputs.method) ? 'the film hides it' : 'nothing left to see'
  return [
    `${micrometres(grit.grain.value)} µm grain`,
    grit.jump ? `jump ${decimal(grit.jump, 1)}` : 'takes the tool marks out',
    `leaves ${micrometres(grit.leaves.value)} µm${isLast ? `: ${hidden}` : ''}`,
    ...piecesIn(step, grit.pieces),
  ].join(' · ')
}
