import type { BlankKind } from '#reference'
import { woodChoices, woodOf } from './woods'

const blank = (id: string, species: string | null, material: string | null = null): BlankKind => ({ id, species, material, classes: [] })
const shelf = [
  blank('1', 'Hornbeam'), blank('2', 'Hornbeam'), blank('3', null, 'apple'), blank('4', 'apple'),
  { ...blank('5', null), classes: ['resin'] as const, hardness: 900 },
]

it('known materials and those of one’s own are chosen from by name, each once', () => {
  const labels = woodChoices(shelf).map(one => one.label)
  expect(labels.filter(one => one === 'Hornbeam')).toHaveLength(1)
  expect(labels.filter(one => one.toLowerCase() === 'apple')).toHaveLength(1)
  expect(labels).toEqual([...labels].sort((a, b) => a.localeCompare(b, 'en')))
  expect(labels.length).toBe(woodChoices([]).length + 2)
})
it('what is chosen is what it stands for, with what is known of it; what is gone is none', () => {
  for (const { label, value } of woodChoices(shelf)) expect(woodOf(value, shelf)?.name).toBe(label)
  const resin = woodChoices(shelf).find(one => one.label === 'Resin, not known')!
  expect(woodOf(resin.value, shelf)).toMatchObject({ classes: ['resin'], hardness: { value: 900 } })
  expect(woodOf(resin.value, [])).toBeUndefined()
  expect(woodOf('no such wood', shelf)).toBeUndefined()
})
