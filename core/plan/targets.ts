import { given, type Figure } from '../figures'
import type { FilmWish, Wishes } from './inputs'

/** Deepest scratch that does not show in a high gloss, µm. */
export const glossForgives: Figure = given('deepest scratch a high gloss hides', 1.5, 'µm', { mark: 'model', note: 'starting value' })

/** Deepest scratch in bare wood that a gloss film over it hides, µm: that of P600, where one school stops. */
export const filmHides: Figure = given('deepest scratch in the wood that a film over it hides', 8, 'µm', { mark: 'trade', note: 'common practice: P600 is enough under a film; others go on to P2000' })

const LEAST: Record<FilmWish, number> = { gloss: 40, close: 20 }

/** Deepest scratch that bare sanding may leave, µm: as the turner chose, or what a film hides. */
export const mayLeave = ({ leave }: Pick<Wishes, 'leave'>): Figure => leave === undefined ? filmHides : given('deepest scratch that may be left', leave, 'µm')

/** Least film wanted at the thinnest place once all is polished, µm. */
export const leastFilm = (wish: FilmWish): Figure =>
  given(wish === 'gloss' ? 'least film for a deep gloss' : 'least film, close to the wood', LEAST[wish], 'µm', { mark: 'model', note: 'starting value' })

/** Change of paper, with-grain pass, wipe and look, s for each grit. */
export const gritOverhead: Figure = given('change, with-grain pass, wipe, look', 25, 's', { mark: 'model', note: 'starting value' })
