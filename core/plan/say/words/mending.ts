import { abrasiveName } from '../../../abrasives'
import { barrelNames } from '../../../barrel'
import type { RepairWay } from '../../../defects'
import type { FixHow } from '../../model'
import type { Words, Writers } from './writer'

/** How each way fills a hole; others that fill do it with drops. */
const FILL: Partial<Record<RepairWay, string>> = {
  'thin CA': 'a drop at a time, until it stands a little over',
  'shavings and CA': 'pack its own fine shavings in, a drop of CA, a little over the surface',
  'clear CA': 'drop by drop, no bubbles, a little over the surface',
}
const DROPS = 'a drop at a time, until it stands a little over'

const FIX: Record<FixHow, Words> = {
  'ream': {
    title: 'Ream the bore',
    done: 'Clear',
    how: 'A reamer or a rolled piece of P240, by hand; look through it',
    why: 'A crumb splits the barrel in the press',
  },
  'press on': {
    title: 'Press a little more',
    done: 'Refill right',
    how: 'A hair at a time, pads on the plating; the refill out and back after each',
    why: 'Too far cannot be undone',
  },
  'take apart': {
    title: 'Drive it apart',
    done: 'Apart',
    how: 'A punch that fits the bore, from behind, padded, straight',
    why: 'It seldom comes out whole: have the part at hand',
  },
  'flush the end': {
    title: 'Bring the end flush',
    done: 'Flush',
    how: 'A few strokes at that end only, a flat block, measure after each',
    why: 'A step is felt by every thumb',
  },
  'ease the end': {
    title: 'Ease the edge',
    done: 'Clean edge',
    how: 'Square to the end, P400 on a flat block, until nothing loose is left',
    why: 'New film bites only on a sound edge',
  },
  'touch up': {
    title: 'Touch it up by hand',
    done: 'Touched up',
    how: 'Metal covered with tape; a drop of thin CA where it is needed, shaved level, fine pads, polish',
    why: 'Off the lathe little at a time',
  },
}

/** What a mend puts in besides what is done again. */
export const mending: Writers<'fill' | 'flush' | 'sand back' | 'set aside' | 'look again' | 'fix'> = {
  'fill': ({ repair, accelerated }, { units }) => {
    const where = `${barrelNames[repair.barrel]}, ${units.length(repair.fromTip, 1)} from its tip end`
    return {
      title: `Fill: ${FILL[repair.way] ? repair.way : 'drops of CA'}`,
      done: 'Filled',
      how: `${where}, ${units.length(repair.size, 1)} across: ${FILL[repair.way] ?? DROPS}`,
      why: accelerated ? 'Then a light mist of accelerator from 30\u00A0cm' : 'No accelerator: let it set by itself',
    }
  },
  'flush': ({ phase }) =>
    phase === 'turn'
      ? {
          title: 'Turn the fill flush',
          done: 'Flush',
          how: 'Light cuts over the fill, then look under a raking light',
          why: 'Before the ladder a second fill costs nothing',
        }
      : {
          title: 'Bring the fill flush',
          done: 'Flush',
          how: 'A sharp blade or a flat block, on the fill only, then look under a raking light',
          why: 'What stands proud would be ringed by every grit after it',
        },
  'sand back': ({ whole, abrasive, barrels }) =>
    whole
      ? {
          title: `Sand back with ${abrasiveName(abrasive)}`,
          done: 'Bare all over',
          how: 'Lathe slow, light, the whole barrel down to the wood; blow',
          why: 'The finish begins again from here',
        }
      : {
          title: `Sand back there, ${abrasiveName(abrasive)}`,
          done: 'Gone there',
          how: `${barrels.map(id => barrelNames[id]).join(' and ')}, lathe stopped, a flat block, only there, feathered out; blow, no wipe`,
          why: 'Down to what is sound; the rest of the film stays',
        },
  'set aside': () => ({
    title: 'Set it aside',
    done: 'Set aside',
    how: 'Warm and dry, nothing touching it, not on a heater',
    why: 'Most soft films only want time',
  }),
  'look again': () => ({
    title: 'Look at it again',
    done: 'Hard and clear',
    how: 'A fingernail at an end, lathe off; hold it to the light',
    why: 'Still soft or cloudy: note it again, and strip it',
  }),
  'fix': ({ how }) => FIX[how],
}
