import type { DefectEntry } from '../core/defects'

/** Defects by how they look, with the usual way to mend and to avoid each [trade]. */
export const defects: readonly DefectEntry[] = [
  { kind: 'chip', name: 'Chip, tear-out', shows: 'A bite out of the surface or an end', mend: 'Small and fresh: its own fine shavings and CA, then sand from two grits back. Late: bury it in extra coats and level. Large: a new blank.', avoid: 'Thin CA on weak spots, light cuts, cut outward' },
  { kind: 'crack', name: 'Crack', shows: 'A line, or a piece gone', mend: 'Thin CA into a hairline; else a new blank.', avoid: 'Glue all over the tube, ream the bore' },
  { kind: 'void', name: 'Void, pit', shows: 'A small hole', mend: 'Drops of thin CA, or dust and CA. Shallow in resin: buff it out.', avoid: 'Look the blank over before turning' },
  { kind: 'ring scratches', name: 'Ring scratches', shows: 'Lines around the barrel', mend: 'Go back to the grit that made them.', avoid: 'No jumps, a with-grain pass, a raking light' },
  { kind: 'ridges', name: 'Ridges in the film', shows: 'Bands, orange-peel', mend: 'Level with a coarser grit; the next coats thin.', avoid: 'Thin coats, quick strokes, foam' },
  { kind: 'white dots', name: 'White dots, haze', shows: 'White specks or bloom', mend: 'Sand them out before the next coat; all over: strip back.', avoid: 'Wipe, dry, wait; accelerator from farther off' },
  { kind: 'sand-through', name: 'Sand-through', shows: 'A dull patch, colour on the paper', mend: 'Early: more coats. Late: back to levelling.', avoid: 'Coats enough, lathe stopped' },
]
