import type { RepairRow, WorkStage } from '../core/defects'

const early: readonly WorkStage[] = ['blank', 'turn']
const bare: readonly WorkStage[] = ['sand', 'clean']
const film: readonly WorkStage[] = ['coat', 'level', 'ends']
const late: readonly WorkStage[] = ['level', 'ends']
const source = { mark: 'trade' as const, note: 'common practice; how often it works is our own starting value' }
const row = (one: Omit<RepairRow, 'source'>): RepairRow => ({ ...one, source })

/**
 * The ways to mend, by defect and stage. Which ways there are is common practice [trade]; sizes and chances are starting values of ours [model], which the turner's own record then moves. Where a way stands
 * twice for one defect, the first row that fits counts.
 */
export const repairRows: readonly RepairRow[] = [
  row({ kinds: ['chip', 'void'], stages: early, way: 'turn it out', says: 'Turn on: it goes with the shavings', why: 'More is to come off there than it is deep', chance: 0.95, fits: ['goes with the shavings'] }),
  row({ kinds: ['crack'], stages: [...early, ...bare], way: 'thin CA', says: 'Drops of thin CA into the hairline', why: 'It runs in by itself and holds', chance: 0.6, fits: ['wood', 'CA'], most: 12 }),
  row({ kinds: ['crack'], stages: [...early, ...bare], way: 'clear CA', says: 'Drops of clear CA, no accelerator', why: 'It dries as clear as the resin', chance: 0.5, fits: ['resin', 'CA'], most: 12 }),
  row({ kinds: ['chip', 'void'], stages: early, way: 'thin CA', says: 'Drops of thin CA', why: 'Small enough for CA alone', chance: 0.85, fits: ['wood', 'CA'], most: 0.6 }),
  row({ kinds: ['chip', 'void'], stages: early, way: 'shavings and CA', says: 'Its own fine shavings, packed in, and CA', why: 'The wood’s own colour; now it costs nothing but a fill', chance: 0.85, fits: ['wood', 'CA'], most: 3 }),
  row({ kinds: ['chip', 'void'], stages: early, way: 'clear CA', says: 'Drops of clear CA, no accelerator', why: 'It dries as clear as the resin; accelerator would cloud it', chance: 0.8, fits: ['resin', 'CA'], most: 3 }),
  row({ kinds: ['void'], stages: bare, way: 'back in the ladder', says: 'Sand it out: back in the ladder', why: 'A shallow pit in resin goes with a few hundredths', chance: 0.6, fits: ['resin'], most: 0.4 }),
  row({ kinds: ['chip', 'void'], stages: bare, way: 'thin CA', says: 'Drops of thin CA, then sand from two grits back', why: 'Small enough for CA alone', chance: 0.75, fits: ['wood', 'CA'], most: 0.6 }),
  row({ kinds: ['chip', 'void'], stages: bare, way: 'shavings and CA', says: 'Its own fine dust and CA, then from two grits back', why: 'Before the first coat a fill still takes the wood’s colour', chance: 0.75, fits: ['wood', 'CA'], most: 3 }),
  row({ kinds: ['chip', 'void'], stages: bare, way: 'clear CA', says: 'Drops of clear CA, then from two grits back', why: 'It dries as clear as the resin', chance: 0.7, fits: ['resin', 'CA'], most: 3 }),
  row({ kinds: ['chip', 'void'], stages: film, way: 'bury', says: 'Fill it with drops, bury it in five coats, level', why: 'The film goes over it; wood cannot be added any more', chance: 0.65, fits: ['CA', 'film'], most: 3 }),
  row({ kinds: ['crack'], stages: film, way: 'bury', says: 'Thin CA into the line, five coats over it, level', why: 'It holds the line and hides it, if the wood stays still', chance: 0.4, fits: ['CA', 'film'], most: 10 }),
  row({ kinds: ['chip', 'void', 'crack'], stages: film, way: 'strip', says: 'Sand the finish off, fill, and finish again', why: 'Without a film over it only bare wood can be filled', chance: 0.6, fits: ['no film', 'CA'], most: 3 }),
  row({ kinds: ['chip', 'void', 'crack'], stages: ['together'], way: 'touch up', says: 'A drop of thin CA, shaved level, polished by hand', why: 'Pressed pens seldom come apart whole', chance: 0.5, fits: ['CA'], most: 1.5 }),
  row({ kinds: ['crack'], stages: ['together'], way: 'touch up', says: 'Thin CA into the line, shaved level, polished by hand', why: 'It holds the line; whether it shows is luck', chance: 0.35, fits: ['CA'], most: 8 }),

  row({ kinds: ['ring scratches'], stages: bare, way: 'back in the ladder', says: 'Back to the grit that made them', why: 'Finer paper only polishes their edges', chance: 0.9 }),
  row({ kinds: ['ring scratches'], stages: late, way: 'polish again', says: 'Run the polish grits again from the levelling', why: 'They are in the film, where the film may be taken thinner', chance: 0.8 }),
  row({ kinds: ['ring scratches'], stages: ['coat'], way: 'strip', says: 'Sand back to the wood and run the ladder again', why: 'They lie under the film, and gloss will show them', chance: 0.8 }),
  row({ kinds: ['ring scratches'], stages: late, way: 'strip', says: 'Sand back to the wood and run the ladder again', why: 'Only if they lie under the film', chance: 0.75 }),
  row({ kinds: ['ring scratches', 'heat checks', 'white dots', 'ridges'], stages: ['together'], way: 'touch up', says: 'Fine pads and polish by hand, metal covered', why: 'Off the lathe only what is fine and shallow comes out', chance: 0.45 }),

  row({ kinds: ['heat checks'], stages: ['turn'], way: 'turn it out', says: 'A light cut: it goes with the shavings', why: 'More is to come off there than it is deep', chance: 0.85, fits: ['goes with the shavings'] }),
  row({ kinds: ['heat checks'], stages: ['turn'], way: 'true it', says: 'One light, sharp cut over it', why: 'Burnt wood takes no finish', chance: 0.75 }),
  row({ kinds: ['heat checks'], stages: bare, way: 'back in the ladder', says: 'Back two grits, fresh paper, slower, and let it cool', why: 'The cracks are shallow while they are fresh', chance: 0.75 }),
  row({ kinds: ['heat checks'], stages: film, way: 'level out', says: 'Level below them, wet, and cover', why: 'Heat of polishing cracks the top of the film first', chance: 0.6, fits: ['film'] }),
  row({ kinds: ['heat checks'], stages: film, way: 'strip', says: 'Sand back to the wood and start the finish again', why: 'If they are in the wood', chance: 0.7 }),

  row({ kinds: ['ridges'], stages: ['coat'], way: 'level out', says: 'Level now, then thin coats only', why: 'Each coat more follows the ridges before it', chance: 0.9, fits: ['film'] }),
  row({ kinds: ['ridges'], stages: film, way: 'level coarser', says: 'Level with a coarser grit, lathe stopped', why: 'The grit before could not reach the valleys', chance: 0.85 }),
  row({ kinds: ['ridges'], stages: ['coat'], way: 'level out', says: 'Cut back now, then thin coats only', why: 'Each coat more follows the ridges before it', chance: 0.85 }),

  row({ kinds: ['white dots'], stages: film, way: 'level out', says: 'Sand them out before anything goes over them', why: 'They are near the top; under a coat they are sealed in', chance: 0.8, most: 20 }),
  row({ kinds: ['white dots'], stages: film, way: 'strip', says: 'Strip back and start the finish again', why: 'Haze all over goes deeper than one coat', chance: 0.85 }),
  row({ kinds: ['foam', 'fish-eyes'], stages: film, way: 'level out', says: 'Clean, sand it off, recoat thin', why: 'It is in the last coat', chance: 0.85 }),
  row({ kinds: ['foam', 'fish-eyes'], stages: film, way: 'strip', says: 'Strip back and start the finish again', why: 'What caused it is still on the wood', chance: 0.8 }),

  row({ kinds: ['sand-through'], stages: film, way: 'more coats', says: 'Cover it with coats, then level again', why: 'Early it costs only these coats: what is still planned goes over them', chance: 0.9, fits: ['film', 'more coats to come'] }),
  row({ kinds: ['sand-through'], stages: film, way: 'more coats', says: 'Cover it with coats, then level again', why: 'Late it can take in dust and show: blow it clean, cover it thin before anything else touches it', chance: 0.65, fits: ['film'] }),
  row({ kinds: ['sand-through'], stages: film, way: 'recoat', says: 'One more coat over all', why: 'This finish builds next to nothing: it blends in', chance: 0.8, fits: ['no film'] }),
  row({ kinds: ['sand-through'], stages: film, way: 'strip', says: 'Strip back and start the finish again', why: 'If the place has taken in dust or water', chance: 0.85, fits: ['film'] }),

  row({ kinds: ['bleed'], stages: bare, way: 'back in the ladder', says: 'Sand back below it, along the grain, and blow', why: 'On bare wood the stain is shallow', chance: 0.75 }),
  row({ kinds: ['bleed'], stages: film, way: 'sand back and cover', says: 'Sand back below it there, seal thin, cover', why: 'Only there: the rest of the film stays', chance: 0.65, fits: ['film', 'CA'] }),
  row({ kinds: ['bleed'], stages: film, way: 'strip', says: 'Strip back, seal thin, and start the finish again', why: 'A stain all along a joint does not stop at one place', chance: 0.7 }),

  row({ kinds: ['lifting'], stages: film, way: 'sand back and cover', says: 'Cut the loose film back, clean, recoat there', why: 'What is loose never holds again', chance: 0.7, fits: ['film'], most: 12 }),
  row({ kinds: ['lifting'], stages: film, way: 'strip', says: 'Strip back, clean, and start the finish again', why: 'What lifts here will lift elsewhere', chance: 0.75 }),
  row({ kinds: ['chipped end'], stages: film, way: 'end coats', says: 'Sand the edge square, more coats at the end, level', why: 'New film has to bite on a clean edge', chance: 0.75, fits: ['film'] }),
  row({ kinds: ['chipped end'], stages: film, way: 'ease the end', says: 'Ease the edge until the chip is gone', why: 'The metal covers what is under its rim', chance: 0.7, most: 0.8 }),

  row({ kinds: ['soft film'], stages: [...film, 'together'], way: 'set aside', says: 'Set it aside in the warm, and look again', why: 'Most soft films only want time', chance: 0.6 }),
  row({ kinds: ['soft film'], stages: film, way: 'strip', says: 'Strip back and start the finish again', why: 'What does not set in two days never does', chance: 0.85 }),
  row({ kinds: ['blush'], stages: ['coat'], way: 'recoat', says: 'Warm it, then one thin coat: it melts the veil', why: 'Fresh solvent lets the water out', chance: 0.75 }),
  row({ kinds: ['blush'], stages: [...film, 'together'], way: 'set aside', says: 'Warm it gently and let it flow', why: 'A light veil goes with the water', chance: 0.5 }),
  row({ kinds: ['blush'], stages: film, way: 'level out', says: 'Cut the veil off, recoat in drier air', why: 'It sits in the last coat', chance: 0.8 }),

  row({ kinds: ['step'], stages: ['turn'], way: 'turn it out', says: 'Proud: turn on to the size', why: 'That is what the last cuts are for', chance: 0.95, fits: ['goes with the shavings'] }),
  row({ kinds: ['step'], stages: ['turn', ...bare], way: 'flush the end', says: 'Proud: sand the end to its size', why: 'A few strokes at the end, measured after each', chance: 0.85 }),
  row({ kinds: ['step'], stages: film, way: 'end coats', says: 'Shy: more coats at the end build it up', why: 'Film is what can still be added', chance: 0.75, fits: ['film'] }),
  row({ kinds: ['step'], stages: film, way: 'flush the end', says: 'Proud: sand the end flush, polish again', why: 'Film can be taken down to the metal', chance: 0.8 }),
  row({ kinds: ['oval'], stages: ['turn'], way: 'true it', says: 'Turn it true again, less squeeze', why: 'Sanding follows an oval, it does not cure it', chance: 0.8 }),
  row({ kinds: ['oval'], stages: [...bare, ...film], way: 'true it', says: 'Turn it true again, then all of it once more', why: 'Sanding follows an oval, it does not cure it', chance: 0.7 }),
  row({ kinds: ['mechanism'], stages: ['together'], way: 'press on', says: 'Too short: press a little more, try the refill', why: 'A hair at a time; too far cannot be undone', chance: 0.8 }),
  row({ kinds: ['mechanism', 'crumb'], stages: ['together'], way: 'take apart', says: 'Too far: drive it out from behind', why: 'It seldom comes out whole, but nothing else is left', chance: 0.25 }),
  row({ kinds: ['crumb'], stages: [...early, 'ends'], way: 'ream', says: 'Ream the bore, look through it', why: 'A crumb splits the barrel in the press', chance: 0.95 }),
  row({ kinds: ['soft film', 'lifting', 'chipped end', 'bleed', 'sand-through', 'blush', 'step', 'oval', 'white dots'], stages: ['together'], way: 'take apart', says: 'Drive it apart, then mend it as before the press', why: 'The film can only be worked off the metal', chance: 0.3 }),

  row({ kinds: ['chip', 'crack', 'void', 'ring scratches', 'heat checks', 'ridges', 'white dots', 'foam', 'sand-through', 'bleed', 'lifting', 'chipped end', 'soft film', 'fish-eyes', 'blush', 'step', 'oval', 'crumb', 'mechanism'], stages: ['blank', 'turn', 'sand', 'clean', 'coat', 'level', 'ends', 'together'], way: 'new blank', says: 'Scrap the barrel: cut it again', why: 'All that was done to it is done anew', chance: 0.95 }),
  row({ kinds: ['chip', 'crack', 'void', 'ring scratches', 'heat checks', 'ridges', 'white dots', 'foam', 'sand-through', 'bleed', 'lifting', 'chipped end', 'soft film', 'fish-eyes', 'blush', 'step', 'oval', 'crumb', 'mechanism'], stages: ['blank', 'turn', 'sand', 'clean', 'coat', 'level', 'ends', 'together'], way: 'new pair', says: 'Scrap both: cut the pair again', why: 'From one stick, so that the grain runs on', chance: 0.95, fits: ['two barrels'] }),
]
