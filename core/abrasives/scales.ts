import type { Source } from '../figures'

/** The number scales an abrasive may be marked in. They cannot be compared by number, only by grain size. */
export type AbrasiveScale = 'P' | 'CAMI' | 'pad' | 'micron'

export interface ScaleTable {
  /** Where the table is from. */
  source: Source
  /** Mark to mean or median grain size in µm. */
  grains: Readonly<Record<string, number>>
}

/** The scales with tables of their own; a `micron` mark is its own grain size. */
export const scaleTables: Record<Exclude<AbrasiveScale, 'micron'>, ScaleTable> = {
  P: {
    source: { mark: 'pub', note: 'FEPA 43-1 / ISO 6344, recalled from memory of the standard' },
    grains: {
      12: 1815,
      16: 1324,
      20: 1000,
      24: 764,
      30: 642,
      36: 538,
      40: 425,
      50: 336,
      60: 269,
      80: 201,
      100: 162,
      120: 125,
      150: 100,
      180: 82,
      220: 68,
      240: 58.5,
      280: 52.2,
      320: 46.2,
      360: 40.5,
      400: 35.0,
      500: 30.2,
      600: 25.8,
      800: 21.8,
      1000: 18.3,
      1200: 15.3,
      1500: 12.6,
      2000: 10.3,
      2500: 8.4,
    },
  },
  CAMI: {
    source: { mark: 'pub', note: 'ANSI B74.18, recalled from memory of the standard' },
    grains: {
      80: 190,
      100: 140,
      120: 115,
      150: 92,
      180: 82,
      220: 68,
      240: 53.0,
      280: 44.0,
      320: 36.0,
      360: 29.0,
      400: 23.0,
      500: 20.0,
      600: 16.0,
      800: 12.2,
      1000: 9.2,
    },
  },
  pad: {
    source: { mark: 'mem', note: 'cushioned pads; makers’ charts differ' },
    grains: { 1500: 30, 1800: 15, 2400: 12, 3200: 9, 3600: 8, 4000: 5, 6000: 4, 8000: 3, 12000: 2 },
  },
}
