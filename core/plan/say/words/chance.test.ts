import { chance, riskWords } from './chance'

it.each([
  [0, 'hardly any'],
  [0.000079, 'hardly any'],
  [0.001, '1 in 1000'],
  [0.00156, '1 in 640'],
  [0.0254, '1 in 39'],
  [0.15, '1 in 7'],
  [0.35, '1 in 2.9'],
  [0.5, '1 in 2'],
  [0.94, '1 in 1.1'],
  [0.95, 'almost certain'],
  [1, 'almost certain'],
])('%d is said as %s, no closer than the model knows it', (part, words) => expect(chance(part)).toBe(words))

it.each([
  [0.0009, 'hardly a risk of going through'],
  [0.01, 'a small risk of going through, 1 in 100'],
  [0.02, 'a risk of going through, 1 in 50'],
  [0.1, 'a high risk of going through, 1 in 10'],
])('going through at the edges: %d', (edges, words) => expect(riskWords({ open: 0, edges })).toBe(words))
