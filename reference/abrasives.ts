import { grainSize, scaleTables, type AbrasiveMark } from '../core/abrasives'
import type { ShelfAbrasive } from '../core/shelf'

const FILM_GRADES = [30, 15, 9, 5, 3, 1]

/** Paper coarser than about P220 is not made for water; cushioned pads and films are used dry on bare blanks and wet on film [trade]. */
const WET_FROM = 70

function entry({ scale, mark }: AbrasiveMark): ShelfAbrasive {
  const paper = scale === 'P' || scale === 'CAMI'
  return { id: `${scale}-${mark}`, scale, mark, dry: true, wet: !paper || grainSize(scale, mark) <= WET_FROM }
}

const marks: AbrasiveMark[] = [
  ...(['P', 'CAMI', 'pad'] as const).flatMap(scale => Object.keys(scaleTables[scale].grains).map(mark => ({ scale, mark: Number(mark) }))),
  ...FILM_GRADES.map(mark => ({ scale: 'micron' as const, mark })),
]

/** Every abrasive of the known scales that can be put on the shelf, coarse to fine. */
export const abrasives: readonly ShelfAbrasive[] = marks.map(entry).sort((a, b) => grainSize(b.scale, b.mark) - grainSize(a.scale, a.mark))

/** The modest shelf that a new workshop starts from: what turners commonly have [trade]. */
export const usualAbrasives: readonly string[] = [
  'P-120',
  'P-150',
  'P-180',
  'P-220',
  'P-320',
  'P-400',
  'P-500',
  'P-600',
  'P-800',
  'pad-1500',
  'pad-1800',
  'pad-2400',
  'pad-3200',
  'pad-3600',
  'pad-4000',
  'pad-6000',
  'pad-8000',
  'pad-12000',
]
