import { grainSize } from '../core/abrasives'
import { methodOf, planFor } from '../tests/support/inputs'
import { abrasives, cautionsFor, defects, fittings, materials, methods, products, usualAbrasives } from '.'

const unique = (ids: string[]): void => expect(new Set(ids).size).toBe(ids.length)

it('names every row once', () => {
  for (const rows of [abrasives, fittings, materials, products]) unique(rows.map(row => row.id))
  unique(defects.map(row => row.kind))
})

it('has at least three fittings and eight materials, across all classes of the trade', () => {
  expect(fittings.length).toBeGreaterThanOrEqual(3)
  expect(materials.length).toBeGreaterThanOrEqual(8)
  expect(new Set(materials.flatMap(row => row.classes))).toEqual(
    new Set(['close-grained', 'open-pored', 'oily', 'bleeding', 'soft', 'figured', 'hybrid', 'resin', 'laminated']),
  )
})

it('keeps a source with every row', () => {
  for (const row of [...fittings, ...materials, ...products]) expect(['pub', 'trade', 'mem', 'model']).toContain(row.source.mark)
  for (const { hardness } of materials) if (hardness) expect(hardness.source.note).toBeTruthy()
})

it('has fittings that can be: tube longer than wide, metal wider than the tube, bit wider than the tube', () => {
  for (const { bit, barrels } of fittings) {
    for (const { tubeLength, tubeOuter, tipEnd, clipEnd } of barrels) {
      expect(tubeLength).toBeGreaterThan(tubeOuter)
      expect(bit).toBeGreaterThan(tubeOuter)
      expect(Math.min(tipEnd, clipEnd)).toBeGreaterThan(tubeOuter)
    }
  }
})

it('lists abrasives from coarse to fine, the usual ones among them, coarse paper dry only', () => {
  const sizes = abrasives.map(row => grainSize(row.scale, row.mark))
  expect([...sizes].sort((a, b) => b - a)).toEqual(sizes)
  expect(usualAbrasives.every(id => abrasives.some(row => row.id === id))).toBe(true)
  expect(abrasives.find(row => row.id === 'P-80')!.wet).toBe(false)
})

it('shows a caution at every step that can hurt, and puts the label first', () => {
  const risky = ['cut', 'drill', 'tube', 'turn', 'sand', 'coat', 'level', 'assemble']
  for (const step of planFor('oily-exotic').steps) if (risky.includes(step.kind)) expect(cautionsFor(step).length).toBeGreaterThan(0)
  expect(cautionsFor(planFor('oily-exotic').steps.find(step => step.kind === 'clean')!)[0]!.short).toMatch(/flammable/)
  for (const caution of materials.flatMap(({ id }) => planFor(id).steps.flatMap(step => cautionsFor(step))))
    expect(caution.more).toMatch(/label.*safety data sheet.*local rules/)
})

describe('cautions of finishes', () => {
  const cautionOf = (method: string, kind: string, material = 'apple') => {
    const step = planFor(material, 'click-8', { method: methodOf(method) }).steps.find(one => one.kind === kind)!
    return cautionsFor(step)
      .map(caution => caution.short)
      .join(' ')
  }
  it('stand at the step that needs them: rags, solvent, spray, heat, fumes', () => {
    expect(cautionOf('oil', 'coat')).toMatch(/Oily rags heat up by themselves/)
    expect(cautionOf('oil', 'wipe off')).toMatch(/Oily rags/)
    expect(cautionOf('sealer-lacquer-wax', 'coat')).toMatch(/No flame, no spark/)
    expect(cautionOf('spray-lacquer', 'coat')).toMatch(/mask for solvent/)
    expect(cautionOf('friction-polish', 'coat')).toMatch(/never round the fingers/)
    expect(cautionOf('ca-thin-first', 'coat')).toMatch(/Fumes/)
    expect(cautionOf('sealer-lacquer-wax', 'try', 'burr-resin')).toMatch(/flammable/)
  })
  it('every step of every finish that touches the work has one, and all of them defer to the label', () => {
    for (const method of methods) {
      for (const step of planFor('apple', 'click-8', { method }).steps.filter(one => ['coat', 'level'].includes(one.phase))) {
        const cautions = cautionsFor(step)
        expect([method.id, step.id, cautions.length > 0]).toEqual([method.id, step.id, true])
        for (const caution of cautions) expect(caution.more).toMatch(/label, its safety data sheet and local rules stand above/)
      }
    }
  })
})
