import type { Step, StepKind } from '../core/plan'

/** One caution at the step that needs it. `short` stands on the work screen, `more` behind it. */
export interface Caution {
  id: string
  short: string
  more: string
}

const rest = 'The product’s label, its safety data sheet and local rules stand above anything said here.'

const all = {
  saw: { id: 'saw', short: 'Guard on the saw, push stick, small pieces clamped.', more: `Never hold a small blank by hand at the saw. ${rest}` },
  drill: { id: 'drill', short: 'Clamp the blank, never hold it. Eye protection.', more: `A packed bit splits the blank; clear it often. ${rest}` },
  turning: { id: 'turning', short: 'Face shield on. No loose sleeves, no gloves near the mandrel.', more: `Blanks can shatter, square resin most of all. Feel the surface only with the lathe stopped. ${rest}` },
  oven: { id: 'oven', short: 'Let it dry by itself; an oven only low and watched.', more: `About 20 minutes in a low oven is usual before casting. Resin, glue and finish never go in; a kitchen’s oven is for food. ${rest}` },
  dust: { id: 'dust', short: 'Tool rest off. Extraction and a fitting mask. Paper towel, no rag round fingers.', more: `Wood dust of every kind is a hazard, and many exotics irritate or sensitise. Feel the surface only with the lathe stopped. ${rest}` },
  wet: { id: 'wet', short: 'Wet, to bind the film’s dust. Keep water off the motor and the plug.', more: `Dust of a film or of resin is not for the lungs. Tool rest off. ${rest}` },
  ca: { id: 'ca', short: 'Fumes sting and sink: air moving away from your face. CA on cotton gets hot. The bottle’s own label comes first.', more: `CA bonds skin and eyes. Never pull: warm soapy water; for eyes, medical help. It reacts hot on cotton, leather and wool and can smoke or burn. ${rest}` },
  flammable: { id: 'flammable', short: 'Alcohol is flammable: no flame, no spark, no hot lamp near it.', more: `Let it flash off with moving air before the lathe runs. ${rest}` },
  epoxy: { id: 'epoxy', short: 'Gloves while mixing, lathe off. The label comes first.', more: `Epoxy can sensitise the skin. Take the gloves off before the lathe runs. ${rest}` },
  press: { id: 'press', short: 'Bore clear before you press: a crumb of glue splits the barrel.', more: `Pad plated parts, press slowly, eyes protected. ${rest}` },
} satisfies Record<string, Caution>

const byKind: Partial<Record<StepKind, readonly Caution[]>> = {
  dry: [all.oven], fill: [all.ca], flush: [all.turning],
  cut: [all.saw], drill: [all.drill], square: [all.turning], turn: [all.turning], harden: [all.ca], sand: [all.dust], coat: [all.ca],
  level: [all.wet], smooth: [all.wet], polish: [all.dust], assemble: [all.press],
}

/** The cautions that a step of a plan needs, the first one the most urgent. */
export function cautionsFor(step: Step): readonly Caution[] {
  if (step.kind === 'tube') return step.product?.role === 'tube epoxy' ? [all.epoxy] : [all.ca]
  if (step.kind === 'clean') return step.how === 'alcohol' ? [all.flammable] : [all.dust]
  return byKind[step.kind] ?? []
}
