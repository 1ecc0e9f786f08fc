import type { Applicator } from '../core/film'
import type { Layer, Method } from '../core/method'
import type { CoatRole } from '../core/shelf'

const school = (note: string) => ({ mark: 'trade' as const, note })
const usual = { sand: 1000, level: 500, polish: 1000 }

/** Coats of one product; what is not said is as for CA on foam. */
const coats = (role: CoatRole, count: Layer['count'], more: Partial<Layer> = {}): Layer => ({
  role,
  count,
  soak: false,
  accelerate: true,
  applicator: 'foam',
  speed: 500,
  after: null,
  ...more,
})
/** Coats of what is no CA: nothing accelerates it, and towel or its own applicator puts it on. */
const other = (role: CoatRole, count: Layer['count'], speed: number, more: Partial<Layer> = {}): Layer =>
  coats(role, count, { accelerate: false, applicator: 'towel' satisfies Applicator, speed, ...more })

const soaking = coats('thin CA', 2, { soak: true, accelerate: false })
const buffed = { after: { do: 'buff', when: 'each' } } as const
const wax = (count: Layer['count']) => other('carnauba wax', count, 1000, buffed)

const rest = { version: 1, speeds: usual, greatestJump: 2 } as const

/**
 * Ways of finishing that a workshop begins with: every family, and the schools of the CA film. Speeds in rev/min; counts are the
 * trade's.
 */
export const methods: readonly Method[] = [
  {
    ...rest,
    id: 'ca-thin-first',
    family: 'CA film',
    name: 'CA film, thin first',
    levelling: 'at the end',
    sheen: 'high gloss',
    polishes: 1,
    layers: [soaking, coats('thin CA', { least: 1, most: 22 }), coats('medium CA', 1)],
    source: school('one school of several: thin to soak in and fill, thin with accelerator, medium last'),
  },
  {
    ...rest,
    id: 'ca-medium-first',
    family: 'CA film',
    name: 'CA film, medium first',
    levelling: 'at the end',
    sheen: 'high gloss',
    polishes: 1,
    layers: [coats('medium CA', 2), coats('thin CA', { least: 1, most: 20 })],
    source: school('one school of several: medium builds quickly, thin smooths its ridges'),
  },
  {
    ...rest,
    id: 'ca-medium-only',
    family: 'CA film',
    name: 'CA film, medium only',
    levelling: 'at the end',
    sheen: 'high gloss',
    polishes: 1,
    layers: [coats('medium CA', { least: 1, most: 12 })],
    source: school('one school of several: few steps'),
  },
  {
    ...rest,
    id: 'ca-thin-staged',
    family: 'CA film',
    name: 'CA film, thin in stages',
    levelling: 3,
    sheen: 'high gloss',
    polishes: 1,
    layers: [soaking, coats('thin CA', { least: 1, most: 22 })],
    source: school('one school of several: three thin, level, three thin, level; never a thick ridge'),
  },
  {
    ...rest,
    id: 'friction-polish',
    family: 'friction polish',
    name: 'Friction polish',
    levelling: 'never',
    sheen: 'gloss',
    polishes: 0,
    layers: [other('friction polish', { least: 2, most: 4 }, 3000, { after: { do: 'buff', when: 'last' } })],
    source: school('shellac, oil and wax, two to four rubs'),
  },
  {
    ...rest,
    id: 'sealer-polish-wax',
    family: 'sealer and polish',
    name: 'Sealer, friction polish, wax',
    levelling: 'never',
    sheen: 'gloss',
    polishes: 0,
    layers: [
      other('sanding sealer', { least: 2, most: 3 }, 0, { soak: true, after: { do: 'cut back', when: 'each' } }),
      other('friction polish', 1, 3000),
      wax(1),
    ],
    source: school('sealer twice at least, cut back with the last grit'),
  },
  {
    ...rest,
    id: 'sealer-lacquer-wax',
    family: 'sealer and lacquer',
    name: 'Sealer, melamine lacquer, wax',
    levelling: 'never',
    sheen: 'gloss',
    polishes: 0,
    layers: [
      other('sanding sealer', 1, 1000, { soak: true, ...buffed }),
      other('melamine lacquer', { least: 2, most: 3 }, 0, buffed),
      wax(2),
    ],
    source: school('one sealer, two or three lacquers buffed between, carnauba twice'),
  },
  {
    ...rest,
    id: 'conditioner-wax',
    family: 'conditioner and wax',
    name: 'Conditioner and shellac wax',
    levelling: 'never',
    sheen: 'gloss',
    polishes: 0,
    layers: [other('wood conditioner', 1, 0), other('shellac wax', { least: 1, most: 2 }, 3000, buffed)],
    source: school('one conditioner, one or two waxes at high speed'),
  },
  {
    ...rest,
    id: 'wipe-on',
    family: 'wipe-on',
    name: 'Wipe-on oil and varnish',
    levelling: 'at the end',
    sheen: 'gloss',
    polishes: 0,
    layers: [other('wipe-on finish', { least: 3, most: 7 }, 0, { soak: false, after: { do: 'cut back', when: 'between' } })],
    source: school('five coats or so, fine pads between, the pad ladder at the end'),
  },
  {
    ...rest,
    id: 'oil',
    family: 'oil',
    name: 'Oil only',
    levelling: 'never',
    sheen: 'satin',
    polishes: 0,
    layers: [other('finishing oil', { least: 1, most: 3 }, 0, { after: { do: 'wipe off', when: 'each' } })],
    source: school('one to three, wiped off each time'),
  },
  {
    ...rest,
    id: 'hard-wax',
    family: 'hard wax',
    name: 'Hard wax stick',
    levelling: 'never',
    sheen: 'gloss',
    polishes: 0,
    layers: [other('hard wax', { least: 1, most: 2 }, 1000, { applicator: 'stick', ...buffed })],
    source: school('pressed on, warmed, wiped, once or twice'),
  },
  {
    ...rest,
    id: 'bare-polish',
    family: 'bare polish',
    name: 'Bare polish',
    levelling: 'never',
    sheen: 'glass',
    polishes: 2,
    layers: [],
    source: school('for resin: the wet ladder, a cutting polish, a fine one'),
  },
  {
    ...rest,
    id: 'spray-lacquer',
    family: 'spray lacquer',
    name: 'Spray lacquer',
    levelling: 'never',
    sheen: 'gloss',
    polishes: 0,
    layers: [other('spray lacquer', { least: 3, most: 6 }, 0, { applicator: 'spray' })],
    source: school('three to six light coats off the lathe'),
  },
]
