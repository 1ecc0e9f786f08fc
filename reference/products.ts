import type { SetsBy } from '../core/climate'
import type { BaseWait, Product, ProductRole, WaitPurpose } from '../core/shelf'

const trade = { mark: 'trade' as const, note: 'common practice; the label stands above it' }
const mem = { mark: 'mem' as const, note: 'recalled; labels differ, and stand above it' }
const film = { mark: 'model' as const, note: 'starting value; your own measurements replace it' }
const wait = (plain: number, accelerated?: number): BaseWait => ({ plain, ...(accelerated ? { accelerated } : {}), source: trade })
const within = (plain: number, latest: number): BaseWait => ({ plain, latest, source: mem })

const MINUTE = 60
const HOUR = 3600
const DAY = 24 * HOUR

/**
 * A film of so many µm and so much unevenness a coat, from so many parts solids; `later` is the part that a coat over another one of its
 * kind adds, where it dissolves that one again.
 */
const builds = (build: number, unevenness: number, solids: number, later?: number) =>
  ({ film: { build, unevenness, solids, ...(later === undefined ? {} : { later }), source: film } })
/** How long an opened bottle keeps, days: CA lasts months at best [trade], the rest recalled. */
const keeps = (days: number) => ({
  keeps: { days, source: { mark: 'trade' as const, note: 'months at best once opened; cold and dry longer' } },
})

const tubeWaits = (sandPlain: number, sandQuick: number) => ({ square: wait(12 * HOUR, 5 * MINUTE), sand: wait(sandPlain, sandQuick) })
const ca = (next: BaseWait, level: BaseWait, tube: ReturnType<typeof tubeWaits>) => ({
  'next coat': next,
  level,
  'assemble': wait(12 * HOUR),
  'hand over': wait(DAY),
  ...tube,
})

function finish(
  id: string,
  name: string,
  role: ProductRole,
  setsBy: SetsBy,
  waits: Partial<Record<WaitPurpose, BaseWait>>,
  more: Partial<Product> = {},
): Product {
  return { id, name, role, setsBy, waits, source: trade, ...more }
}

/** Glues, finishes and polishes, named by what they are. Film in µm for one coat, base waits in s at 21 °C. */
export const products: readonly Product[] = [
  finish('thin-ca', 'Thin CA', 'thin CA', 'moisture', ca(wait(75, 12), wait(20 * MINUTE, 210), tubeWaits(20 * MINUTE, 4 * MINUTE)), {
    ...builds(8, 4, 0.95),
    ...keeps(120),
  }),
  finish(
    'medium-ca',
    'Medium CA',
    'medium CA',
    'moisture',
    ca(wait(3 * MINUTE, 22), wait(30 * MINUTE, 5 * MINUTE), tubeWaits(30 * MINUTE, 5 * MINUTE)),
    { ...builds(25, 22, 0.95), ...keeps(150) },
  ),
  finish('thick-ca', 'Thick CA', 'thick CA', 'moisture', ca(wait(6 * MINUTE, 40), wait(HOUR, 10 * MINUTE), tubeWaits(HOUR, 10 * MINUTE)), {
    ...builds(45, 35, 0.95),
    ...keeps(150),
  }),
  { id: 'accelerator', name: 'Accelerator', role: 'accelerator', source: trade },
  { id: 'tube-epoxy', name: 'Five-minute epoxy', role: 'tube epoxy', setsBy: 'warmth', source: trade, waits: { square: wait(2 * HOUR) } },
  { id: 'plastic-polish', name: 'Plastic polish', role: 'plastic polish', source: trade },
  { id: 'fine-polish', name: 'Fine plastic polish', role: 'fine polish', source: trade },
  { id: 'alcohol', name: 'Alcohol', role: 'alcohol', source: trade },
  finish(
    'sanding-sealer',
    'Sanding sealer',
    'sanding sealer',
    'solvent',
    { 'next coat': wait(MINUTE), 'assemble': wait(HOUR), 'hand over': wait(DAY) },
    builds(5, 2, 0.2),
  ),
  finish(
    'friction-polish',
    'Shellac friction polish',
    'friction polish',
    'solvent',
    { 'next coat': wait(6), 'assemble': wait(10 * MINUTE), 'hand over': wait(2 * DAY) },
    { ...builds(1, 0.5, 0.2, 0.5), ...keeps(365) },
  ),
  finish(
    'carnauba-wax',
    'Carnauba wax',
    'carnauba wax',
    'warmth',
    { 'next coat': wait(30), 'assemble': wait(5 * MINUTE), 'hand over': wait(HOUR) },
    builds(0.5, 0.2, 0.95),
  ),
  finish(
    'melamine-lacquer',
    'Melamine lacquer',
    'melamine lacquer',
    'solvent',
    { 'next coat': wait(3 * MINUTE), 'level': wait(DAY), 'assemble': wait(DAY), 'hand over': wait(4 * DAY) },
    builds(12, 4, 0.25),
  ),
  finish('wood-conditioner', 'Wood conditioner', 'wood conditioner', 'solvent', {
    'next coat': within(5 * MINUTE, 2 * HOUR),
    'assemble': wait(HOUR),
    'hand over': wait(DAY),
  }),
  finish(
    'shellac-wax',
    'Shellac wax',
    'shellac wax',
    'solvent',
    { 'next coat': wait(30), 'assemble': wait(10 * MINUTE), 'hand over': wait(2 * DAY) },
    builds(0.5, 0.2, 0.5),
  ),
  finish(
    'wipe-on',
    'Wipe-on oil and varnish blend',
    'wipe-on finish',
    'oil',
    { 'next coat': within(4 * HOUR, DAY), 'level': wait(2 * DAY), 'assemble': wait(2 * DAY), 'hand over': wait(7 * DAY) },
    builds(9, 3, 0.4),
  ),
  finish('finishing-oil', 'Finishing oil', 'finishing oil', 'oil', {
    'wipe off': within(10 * MINUTE, 25 * MINUTE),
    'next coat': wait(12 * HOUR),
    'assemble': wait(DAY),
    'hand over': wait(4 * DAY),
  }),
  finish(
    'hard-wax',
    'Hard wax stick',
    'hard wax',
    'warmth',
    { 'next coat': wait(10), 'assemble': wait(5 * MINUTE), 'hand over': wait(HOUR) },
    builds(0.5, 0.2, 0.95),
  ),
  finish(
    'spray-lacquer',
    'Spray lacquer',
    'spray lacquer',
    'solvent',
    { 'next coat': within(20 * MINUTE, 2 * HOUR), 'level': wait(2 * DAY), 'assemble': wait(DAY), 'hand over': wait(4 * DAY) },
    builds(12, 4, 0.25),
  ),
]

/** Products that a new workshop begins with [trade]: for the gloss film, the friction polish, and the lacquer and wax. */
export const usualProducts: readonly string[] = [
  'thin-ca',
  'medium-ca',
  'accelerator',
  'tube-epoxy',
  'plastic-polish',
  'alcohol',
  'friction-polish',
  'sanding-sealer',
  'melamine-lacquer',
  'carnauba-wax',
]
