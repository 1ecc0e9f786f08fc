import type { Material } from '../core/shelf'

const trade = { mark: 'trade' as const, note: 'class by common practice' }
const janka = { mark: 'pub' as const, note: 'Wood Handbook (USDA Forest Products Laboratory), side hardness, recalled from memory' }
const dense = { mark: 'mem' as const, note: 'density at workshop moisture, recalled from memory' }
const recalled = { mark: 'mem' as const, note: 'side hardness recalled from memory' }

/** Blanks by what they are. Hardness in N, where anybody gives one; an unknown one is taken as 5 kN and said. */
export const materials: readonly Material[] = [
  {
    id: 'apple',
    name: 'Apple',
    classes: ['close-grained'],
    hardness: { value: 7700, source: recalled },
    density: { value: 750, source: dense },
    colour: '#b8724e',
    source: trade,
  },
  {
    id: 'pear',
    name: 'Pear',
    classes: ['close-grained'],
    hardness: { value: 7400, source: recalled },
    density: { value: 700, source: dense },
    colour: '#c08a5e',
    source: trade,
  },
  { id: 'plum', name: 'Plum', classes: ['close-grained', 'bleeding'], colour: '#9c5340', source: trade },
  { id: 'damson', name: 'Damson', classes: ['close-grained', 'bleeding'], colour: '#8a4038', source: trade },
  { id: 'cherry-plum', name: 'Cherry-plum', classes: ['close-grained'], colour: '#a8624a', source: trade },
  { id: 'quince', name: 'Quince', classes: ['close-grained'], colour: '#c79a68', source: trade },
  { id: 'medlar', name: 'Medlar', classes: ['close-grained'], colour: '#a9683f', source: trade },
  { id: 'hawthorn', name: 'Hawthorn', classes: ['close-grained'], colour: '#c6a07a', source: trade },
  {
    id: 'holly',
    name: 'Holly',
    classes: ['close-grained'],
    hardness: { value: 4500, source: janka },
    density: { value: 640, source: dense },
    colour: '#ddd0b2',
    source: trade,
  },
  {
    id: 'ash',
    name: 'Ash',
    classes: ['open-pored'],
    hardness: { value: 5900, source: janka },
    density: { value: 680, source: dense },
    colour: '#cdb183',
    source: trade,
  },
  {
    id: 'oak',
    name: 'White oak',
    classes: ['open-pored'],
    hardness: { value: 6000, source: janka },
    density: { value: 750, source: dense },
    colour: '#b08a58',
    source: trade,
  },
  {
    id: 'walnut',
    name: 'Black walnut',
    classes: ['open-pored'],
    hardness: { value: 4500, source: janka },
    density: { value: 610, source: dense },
    colour: '#6f4d38',
    source: trade,
  },
  { id: 'oily-exotic', name: 'Oily exotic, not named', classes: ['oily'], colour: '#7d4a2c', source: trade },
  { id: 'red-exotic', name: 'Red exotic, oily and bleeding', classes: ['oily', 'bleeding'], colour: '#9a3b2a', source: trade },
  { id: 'spalted-apple', name: 'Spalted apple', classes: ['soft', 'figured'], colour: '#c4a786', source: trade },
  {
    id: 'apple-burr',
    name: 'Apple burr',
    classes: ['close-grained', 'figured'],
    hardness: { value: 7700, source: recalled },
    density: { value: 750, source: dense },
    colour: '#a5643f',
    source: trade,
  },
  { id: 'burr-resin', name: 'Windfall burr and green resin', classes: ['hybrid', 'figured'], colour: '#5f8a57', source: trade },
  { id: 'green-resin', name: 'Green cast resin', classes: ['resin'], colour: '#4f8a63', source: trade },
  { id: 'plum-holly', name: 'Plum and holly, laminated', classes: ['laminated', 'bleeding'], colour: '#b5836a', source: trade },
  {
    id: 'unknown',
    name: 'Wood, not known',
    classes: [],
    colour: '#b09070',
    source: { mark: 'model', note: 'not known: treated as close-grained and 5 kN hard' },
  },
]
