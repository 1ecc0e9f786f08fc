import fc from 'fast-check'
import type { Shape } from '../../core/barrel'
import type { PlanInputs, Sizing } from '../../core/plan'
import type { Blank } from '../../core/shelf'
import { fittings, materials, methods } from '../../reference'
import { inputs, usualShelf } from './inputs'

const diameter = fc.double({ min: 5, max: 20, noNaN: true, noDefaultInfinity: true })

/** Any outline that the forms let through. */
export const anyShape: fc.Arbitrary<Shape> = fc.oneof(
  fc.constant<Shape>({ kind: 'straight' }),
  fc.record({
    kind: fc.constantFrom('belly' as const, 'grip' as const, 'tapered' as const),
    bulge: fc.double({ min: -3, max: 8, noNaN: true }),
  }),
  fc.record({
    kind: fc.constant('free' as const),
    points: fc.array(fc.record({ part: fc.double({ min: 0.01, max: 0.99, noNaN: true }), diameter }), { maxLength: 5 }),
  }),
)

const dry = usualShelf.abrasives.map(one => one.id)

/** Any way a pen may be sized and sanded. */
export const anySizing: fc.Arbitrary<Sizing> = fc.record(
  {
    shapes: fc.record({ lower: anyShape, upper: anyShape, only: anyShape }, { requiredKeys: [] }),
    ends: fc.array(
      fc.record({
        barrel: fc.constantFrom('lower' as const, 'upper' as const, 'only' as const),
        end: fc.constantFrom('tip' as const, 'clip' as const),
        diameter,
      }),
      { maxLength: 4 },
    ),
    glue: fc.constantFrom('by the shelf' as const, 'epoxy' as const, 'CA with accelerator' as const, 'CA overnight' as const),
    ladder: fc.uniqueArray(fc.constantFrom(...dry), { maxLength: 8 }),
    insist: fc.uniqueArray(fc.constantFrom(...dry), { maxLength: 3 }),
    refuse: fc.uniqueArray(fc.constantFrom(...dry), { maxLength: 12 }),
    jump: fc.constantFrom(0, 1.5, 2, 3),
    marks: fc.double({ min: 1, max: 200, noNaN: true }),
    leave: fc.double({ min: 0.5, max: 20, noNaN: true }),
    sandSpeed: fc.constantFrom(500, 1000, 2500),
    depth: fc.double({ min: 8, max: 90, noNaN: true }),
    asItStands: fc.boolean(),
  },
  { requiredKeys: [] },
)

const anyBlank: fc.Arbitrary<Blank> = fc.record(
  {
    id: fc.constant('b'),
    name: fc.constant('Any bough'),
    damp: fc.boolean(),
    readings: fc.constantFrom([], [{ at: '2026-11-01T08:00:00.000Z', grams: 40 }]),
    width: diameter,
    height: diameter,
    length: fc.double({ min: 20, max: 400, noNaN: true }),
  },
  { requiredKeys: ['id', 'name', 'damp', 'readings'] },
)

/** Inputs of any plan that a turner may ask for. */
export const anyInputs: fc.Arbitrary<PlanInputs> = fc
  .record({
    material: fc.constantFrom(...materials.map(one => one.id)),
    fitting: fc.constantFrom(...fittings.map(one => one.id)),
    sizing: anySizing,
    method: fc.constantFrom(...methods),
    celsius: fc.integer({ min: 2, max: 38 }),
    humidity: fc.integer({ min: 15, max: 95 }),
    tool: fc.constantFrom('skew' as const, 'gouge' as const, 'square carbide' as const),
    film: fc.constantFrom('gloss' as const, 'close' as const),
    blank: fc.option(anyBlank, { nil: undefined }),
  })
  .map(({ material, fitting, method, celsius, humidity, sizing, tool, film, blank }) =>
    inputs(material, fitting, { method, climate: { celsius, humidity }, wishes: { tool, film, ...sizing }, ...(blank ? { blank } : {}) }),
  )
