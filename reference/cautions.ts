import type { Step, StepKind } from '../core/plan'
import type { CoatRole, Material } from '../core/shelf'

/** One caution at the step that needs it. `short` stands on the work screen, `more` behind it. */
export interface Caution {
  /** Its id. */
  id: string
  /** In one line, at the step. */
  short: string
  /** What to do about it, and whose word goes before ours. */
  more: string
}

/** What a turner minds at kinds of steps, by the kind. */
export type OwnCautions = Readonly<Partial<Record<StepKind, {
  /** In their words. */
  says: string
  /** Where that stands; empty: it is their own. */
  source: string
}>>>

const rest = 'The product’s label, its safety data sheet and local rules stand above anything said here.'

const all = {
  saw: {
    id: 'saw',
    short: 'Guard on the saw, push stick, small pieces clamped.',
    more: `Never hold a small blank by hand at the saw. ${rest}`,
  },
  drill: {
    id: 'drill',
    short: 'Clamp the blank, never hold it. Eye protection.',
    more: `A packed bit splits the blank; clear it often. ${rest}`,
  },
  turning: {
    id: 'turning',
    short: 'Face shield on. No loose sleeves, no gloves near the mandrel.',
    more: `Blanks can shatter, square resin most of all. Feel the surface only with the lathe stopped. ${rest}`,
  },
  oven: {
    id: 'oven',
    short: 'Let it dry by itself; an oven only low and watched.',
    more: `About 20 minutes in a low oven is usual before casting. Resin, glue and finish never go in; a kitchen’s oven is for `
      + `food. ${rest}`,
  },
  dust: {
    id: 'dust',
    short: 'Tool rest off. Extraction and a fitting mask. Paper towel, no rag round fingers.',
    more: `Wood dust of every kind is a hazard, and many exotics irritate or sensitise. Feel the surface only with the lathe `
      + `stopped. ${rest}`,
  },
  wet: {
    id: 'wet',
    short: 'Wet, to bind the film’s dust. Keep water off the motor and the plug.',
    more: `Dust of a film or of resin is not for the lungs. Tool rest off. ${rest}`,
  },
  ca: {
    id: 'ca',
    short: 'Fumes sting and sink: air moving away from your face. CA on cotton gets hot. The bottle’s own label comes first.',
    more: `CA bonds skin and eyes. Never pull: warm soapy water; for eyes, medical help. It reacts hot on cotton, leather and wool `
      + `and can smoke or burn. ${rest}`,
  },
  flammable: {
    id: 'flammable',
    short: 'Alcohol is flammable: no flame, no spark, no hot lamp near it.',
    more: `Let it flash off with moving air before the lathe runs. ${rest}`,
  },
  solvent: {
    id: 'solvent',
    short: 'Solvent: flammable, and not for the lungs. No flame, no spark, no hot lamp; air moving. The label comes first.',
    more: `Close the bottle before the lathe runs. Cloths with solvent dry spread out, outdoors. Colouring wood with a flame comes `
      + `before any solvent is opened and never after. ${rest}`,
  },
  oilyRags: {
    id: 'oily rags',
    short: 'Oily rags heat up by themselves and can burn: spread flat outdoors, or under water in a closed metal can.',
    more: `Never in a heap, a pocket or the bin, not for an hour. Follow the local rule for getting rid of them. ${rest}`,
  },
  spray: {
    id: 'spray',
    short: 'Spray only where air moves away from you: mask for solvent, no flame, no spark.',
    more: `The mist drifts and burns. Lathe off, motor and lamp off while it hangs in the air. ${rest}`,
  },
  friction: {
    id: 'friction',
    short: 'Tool rest off. Paper towel that tears, never round the fingers; hot polish burns.',
    more: `Shellac polish carries alcohol: no flame near it. Press from below, with the lathe turning away from you. No loose `
      + `sleeves. ${rest}`,
  },
  wax: {
    id: 'wax',
    short: 'Tool rest off. Paper towel that tears, never round the fingers.',
    more: `Warm wax drags: keep the touch light. No loose sleeves, no gloves near the mandrel. ${rest}`,
  },
  epoxy: {
    id: 'epoxy',
    short: 'Gloves while mixing, lathe off. The label comes first.',
    more: `Epoxy can sensitise the skin. Take the gloves off before the lathe runs. ${rest}`,
  },
  warm: {
    id: 'warm',
    short: 'A warm room, never an oven or a heater: vapour can burn.',
    more: `Air moving, nothing that sparks near it. ${rest}`,
  },
  hand: {
    id: 'hand',
    short: 'Lathe off. Blades and punches away from the hand; eyes protected.',
    more: `Parts under strain can spring off: pad them and keep your face away. ${rest}`,
  },
  press: {
    id: 'press',
    short: 'Bore clear before you press: a crumb of glue splits the barrel.',
    more: `Pad plated parts, press slowly, eyes protected. ${rest}`,
  },
} satisfies Record<string, Caution>

/** What each kind of work asks; of glues, cleaning and coats it depends on what is used. */
const byKind: Record<Exclude<StepKind, 'tube' | 'clean' | 'coat'>, readonly Caution[]> = {
  'parts': [],
  'ends': [all.hand],
  'check': [],
  'buff': [all.wax],
  'burnish': [all.dust],
  'cut back': [all.dust],
  'wipe off': [all.oilyRags],
  'take off': [all.solvent],
  'try': [all.solvent],
  'sand back': [all.dust],
  'set aside': [all.warm],
  'look again': [all.warm],
  'fix': [all.hand],
  'dry': [all.oven],
  'fill': [all.ca],
  'flush': [all.turning],
  'cut': [all.saw],
  'drill': [all.drill],
  'square': [all.turning],
  'turn': [all.turning],
  'harden': [all.ca],
  'sand': [all.dust],
  'level': [all.wet],
  'smooth': [all.wet],
  'polish': [all.dust],
  'assemble': [all.press],
}

/** Every kind of step that a caution can stand at. */
export const cautionKinds = [...Object.keys(byKind), 'tube', 'clean', 'coat'] as readonly StepKind[]

/** What each product asks of whoever puts it on. */
const byRole: Record<CoatRole, readonly Caution[]> = {
  'thin CA': [all.ca],
  'medium CA': [all.ca],
  'thick CA': [all.ca],
  'sanding sealer': [all.solvent, all.wax],
  'friction polish': [all.friction],
  'carnauba wax': [all.wax],
  'melamine lacquer': [all.solvent],
  'wood conditioner': [all.solvent],
  'shellac wax': [all.friction],
  'wipe-on finish': [all.oilyRags, all.solvent],
  'finishing oil': [all.oilyRags],
  'hard wax': [all.wax],
  'spray lacquer': [all.spray],
}

/** Work that makes dust or chips of the blank itself. */
const ON_BLANK: readonly StepKind[] = ['cut', 'drill', 'square', 'turn', 'sand', 'sand back', 'cut back', 'burnish', 'flush', 'clean']

/**
 * The cautions that a step of a plan needs, the first one the most urgent; what the turner noted of a product, of a blank or of this kind
 * of step stands with it.
 */
export function cautionsFor(step: Step, material?: Pick<Material, 'caution'>, noted: OwnCautions = {}): readonly Caution[] {
  const known = knownFor(step)
  const product = step.kind === 'coat' || step.kind === 'tube' ? step.product : undefined
  const { says, source } = noted[step.kind] ?? {}
  const own = [product?.caution, ON_BLANK.includes(step.kind) ? material?.caution : undefined, says].filter(Boolean).join(' ')
  if (!own) return known
  const [first = { id: 'own', short: '', more: rest }, ...others] = known
  return [
    { ...first, short: `${first.short} Yours: ${own}`.trim(), more: source ? `${first.more} Yours is from: ${source}.` : first.more },
    ...others,
  ]
}

function knownFor(step: Step): readonly Caution[] {
  if (step.kind === 'tube') return step.product?.role === 'tube epoxy' ? [all.epoxy] : [all.ca]
  if (step.kind === 'clean') return step.how === 'alcohol' ? [all.flammable] : [all.dust]
  if (step.kind === 'coat') return byRole[step.product.role]
  return byKind[step.kind]
}
