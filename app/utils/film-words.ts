import { counted, decimal } from '#core/format'
import { hasFilm, type Method } from '#core/method'
import type { MethodFigures } from '#core/plan'

/** The coats of a method and the film that is sure, in a few words: `6 coats, 31 µm sure`. */
export function filmWords(method: Method, { coats, traced }: Pick<MethodFigures, 'coats' | 'traced'>): string {
  const put = coats ? counted(coats, 'coat') : 'no coats'
  return hasFilm(method) ? `${put}, ${decimal(traced.filmThinnest.value)} µm sure` : put
}
