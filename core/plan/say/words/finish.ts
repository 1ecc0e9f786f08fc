import { within } from '../../../format'
import { hasFilm } from '../../../method'
import { bleeds, hasJoint, isOily } from '../../../shelf'
import type { CleanHow, Plan } from '../../model'
import { coatWords } from './coat'
import type { Writers } from './writer'

const CLEAN: Record<CleanHow, { title: string, how: string }> = {
  blow: { title: 'Blow off, no wipe', how: 'Blow or vacuum the dust off, pores too' },
  alcohol: { title: 'Wipe with alcohol', how: 'Blow off, wipe with alcohol, let it flash off, coat at once' },
  rinse: { title: 'Rinse and dry', how: 'Rinse the white residue off, dry, look for pits' },
}

/** From the cleaning to the last polish, without what is sanded. */
export const finishing: Writers<'try' | 'clean' | 'coat' | 'buff' | 'wipe off' | 'take off' | 'polish'> = {
  'try': ({ product }) => ({
    title: `Try ${within(product.name)} on an offcut`,
    done: 'Nothing crazed',
    how: 'One coat on a sanded offcut of the same resin; look under a raking light once it is dry',
    why: 'Its solvent can craze resin, and that cannot be undone on the pen',
  }),
  'clean': ({ how }, { plan }) => ({ ...CLEAN[how], done: 'Clean', why: cleanWhy(plan, how) }),
  'coat': (step, { plan }) => coatWords(step, plan),
  'buff': (_, { plan }) => ({
    title: 'Buff',
    done: 'Buffed',
    how: `${plan.inputs.method.speeds.polish} rev/min, a clean part of the towel, little pressure`,
    why: 'It evens the coat and shows what is dull',
  }),
  'wipe off': () => ({
    title: 'Wipe it off',
    done: 'Wiped off',
    how: 'All that has not soaked in, with clean towel, until it drags',
    why: 'Left too long it turns sticky and stays so',
  }),
  'take off': ({ product }) => ({
    title: `${product.name}: wipe the coat off`,
    done: 'Wiped off',
    how: 'Lathe off, clean towel, along the barrel, while it is wet',
    why: 'What has set already must be levelled',
  }),
  'polish': ({ product }, { plan: { inputs: { method } } }) => ({
    title: product.name,
    done: 'Polished',
    how: `${method.speeds.polish} rev/min, soft cloth, little pressure`,
    why: hasFilm(method) ? 'Takes the last haze off the film' : 'Takes the last haze off',
  }),
}

function cleanWhy({ inputs: { material } }: Plan, how: CleanHow): string {
  if (bleeds(material)) return 'A wet wipe would carry the colour'
  if (hasJoint(material)) return 'A wipe drags one colour into the other, and solvent can craze resin'
  if (how === 'rinse') return 'What stays in a scratch shows as a white line'
  if (!isOily(material)) return 'Dust under a coat shows as white dots'
  return how === 'alcohol'
    ? 'Just before the first coat: oil creeps back within minutes, and a coat on oil lifts'
    : 'Oil under a coat lets it lift: coat at once'
}
