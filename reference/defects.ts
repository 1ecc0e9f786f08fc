import type { DefectEntry, DefectKind, WorkStage } from '../core/defects'

const onWood: readonly WorkStage[] = ['turn', 'sand', 'clean']
const onFilm: readonly WorkStage[] = ['coat', 'level', 'ends', 'together']
const all: readonly WorkStage[] = ['blank', ...onWood, ...onFilm]

/** Defects by how they look, with the usual way to mend and to avoid each [trade]. Sizes to begin with are ours. */
export const defects: readonly DefectEntry[] = [
  { kind: 'chip', name: 'Chip, tear-out', shows: 'A bite out of the surface or an end', stages: all, usual: 0.8, allRound: false, mend: 'Small and fresh: its own fine shavings and CA, then sand from two grits back. Late: bury it in extra coats and level. Large: a new blank.', avoid: 'Thin CA on weak spots, light cuts, cut outward' },
  { kind: 'crack', name: 'Crack, blow-out', shows: 'A line, or a piece gone', stages: all, usual: 5, allRound: false, mend: 'Thin CA into a hairline; else a new blank.', avoid: 'Glue all over the tube, ream the bore' },
  { kind: 'void', name: 'Void, pit', shows: 'A small hole', stages: all, usual: 0.6, allRound: false, mend: 'Drops of thin CA, or dust and CA. Shallow in resin: buff it out.', avoid: 'Look the blank over before turning; cast under pressure, stabilise' },
  { kind: 'ring scratches', name: 'Ring scratches', shows: 'Lines around the barrel', stages: ['sand', 'clean', ...onFilm], usual: 10, allRound: true, mend: 'Go back to the grit that made them.', avoid: 'No jumps, a with-grain pass, a raking light' },
  { kind: 'heat checks', name: 'Heat checks, burnish', shows: 'Fine cracks, dark gloss', stages: [...onWood, ...onFilm], usual: 6, allRound: true, mend: 'Back two grits, cool.', avoid: 'Slower, fresh paper, keep moving' },
  { kind: 'ridges', name: 'Ridges in the film', shows: 'Bands, orange-peel', stages: onFilm, usual: 15, allRound: true, mend: 'Level with a coarser grit; the next coats thin.', avoid: 'Thin coats, quick strokes, foam' },
  { kind: 'white dots', name: 'White dots, haze', shows: 'White specks or bloom', stages: onFilm, usual: 4, allRound: false, mend: 'Sand them out before the next coat; all over: strip back.', avoid: 'Wipe, dry, wait; accelerator less and from farther off' },
  { kind: 'foam', name: 'Foam, bubbles', shows: 'Froth in the coat', stages: ['coat', 'level', 'ends'], usual: 5, allRound: false, mend: 'Sand it off, recoat.', avoid: 'Thin coats, accelerator from 30 cm' },
  { kind: 'sand-through', name: 'Sand-through', shows: 'A dull patch, colour on the paper', stages: onFilm, usual: 3, allRound: false, mend: 'Early: more coats. Late: back to levelling.', avoid: 'Coats enough, lathe stopped' },
  { kind: 'bleed', name: 'Colour bleed', shows: 'A stain in pale wood, resin or coat', stages: ['sand', 'clean', ...onFilm], usual: 4, allRound: false, mend: 'Sand back below it, seal thin.', avoid: 'Blow, seal the dark wood first' },
  { kind: 'lifting', name: 'Lifting at an end', shows: 'A pale crescent, the edge peels', stages: onFilm, usual: 3, allRound: false, mend: 'Cut back, clean, recoat.', avoid: 'Alcohol wipe, ease the ends' },
  { kind: 'chipped end', name: 'Film torn at the end', shows: 'The film breaks off with the bushing', stages: ['coat', 'level', 'ends', 'together'], usual: 2, allRound: false, mend: 'Sand the edge, more coats at the end.', avoid: 'Wax, non-stick bushings, score the joint' },
  { kind: 'soft film', name: 'Cloudy or soft film', shows: 'Prints, dents, milky', stages: onFilm, usual: 10, allRound: true, mend: 'Wait, warm; strip.', avoid: 'Look at the climate, thin coats' },
  { kind: 'fish-eyes', name: 'Fish-eyes', shows: 'Round craters in the coat', stages: ['coat', 'level', 'ends'], usual: 1.5, allRound: false, mend: 'Clean, sand, recoat.', avoid: 'No silicone polish before' },
  { kind: 'blush', name: 'Blush in lacquer', shows: 'A white veil', stages: onFilm, usual: 15, allRound: true, mend: 'Warm and let it flow, recoat.', avoid: 'Look at the climate' },
  { kind: 'step', name: 'Proud or shy at the metal', shows: 'A step you can feel', stages: ['turn', 'sand', 'clean', ...onFilm], usual: 0.1, allRound: true, mend: 'Proud: sand. Shy: film builds it up.', avoid: 'The turn-to size, measured' },
  { kind: 'oval', name: 'Oval, wavy', shows: 'A wall of uneven thickness', stages: ['turn', 'sand', 'clean', ...onFilm], usual: 15, allRound: true, mend: 'Turn it true again.', avoid: 'Between centres, shorter mandrel, less squeeze' },
  { kind: 'mechanism', name: 'Refill too short or too far', shows: 'The point stays in, or will not go back', stages: ['together'], usual: 1, allRound: true, mend: 'Press a little; too far: drive it out, seldom works.', avoid: 'Press and try, then a little more' },
  { kind: 'crumb', name: 'Crumb in the bore', shows: 'A part goes in tight, or a split begins', stages: ['blank', 'turn', 'ends', 'together'], usual: 1, allRound: true, mend: 'Ream it out.', avoid: 'Plug the tube’s ends with wax or putty before gluing' },
]

/** What it means to leave a defect as it is [trade]. */
export const leftMeans: Readonly<Record<DefectKind, string>> = {
  'chip': 'It shows, and its edge can go on breaking',
  'crack': 'It opens with the seasons, or in the press',
  'void': 'Dust and polish fill it with white',
  'ring scratches': 'Gloss makes them plain',
  'heat checks': 'They take in finish and go dark',
  'ridges': 'The light breaks on them; coats follow them',
  'white dots': 'Sealed in, they stay for ever',
  'foam': 'It stays as a rough white patch',
  'sand-through': 'Bare wood there: it takes in dirt and goes grey',
  'bleed': 'The stain stays, and may go on',
  'lifting': 'It goes on peeling from there',
  'chipped end': 'It shows at the metal, and may peel',
  'soft film': 'It prints in its box',
  'fish-eyes': 'The craters stay in the gloss',
  'blush': 'The veil stays',
  'step': 'Every thumb feels it',
  'oval': 'It shows at the metal on two sides',
  'mechanism': 'It does not write, or does not close',
  'crumb': 'The press may split the barrel',
}
