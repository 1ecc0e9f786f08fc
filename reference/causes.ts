import type { Cause, DefectKind } from '../core/defects'

const of = (kind: DefectKind, causes: readonly Omit<Cause, 'kind'>[]): Cause[] => causes.map(cause => ({ ...cause, kind }))

/**
 * What causes each defect: how often it does before anything is known (`prior`, parts of the defect's causes), and how often each piece of evidence holds when it does. The causes are
 * common practice [trade]; the figures are our own estimates [model], which the shop's own judgements then move.
 */
export const causes: readonly Cause[] = [
  ...of('chip', [
    { id: 'dull tool', says: 'A dull tool tore it', prior: 30, speaks: { 'dull tool': 0.9, 'while turning': 0.85, 'coarse tool': 0.6 }, avoid: 'Sharpen before the last cuts of every barrel.' },
    { id: 'deep cut', says: 'Too deep a cut, or a catch', prior: 22, speaks: { 'heavy cut': 0.9, 'while turning': 0.9 }, avoid: 'Lighter cuts as it nears its size.' },
    { id: 'ends inward', says: 'The ends were cut inward', prior: 15, speaks: { 'at an end': 0.95, 'cut inward': 0.92, 'while turning': 0.85 }, avoid: 'Cut from the middle outward to the ends.' },
    { id: 'inclusion', says: 'A knot, bark or soft spot broke out', prior: 12, speaks: { 'inclusion': 0.92, 'figured wood': 0.7 }, avoid: 'Thin CA on weak spots before the last cuts.' },
    { id: 'brittle resin', says: 'The resin is brittle', prior: 11, speaks: { 'brittle resin': 0.97, 'heavy cut': 0.4, 'while turning': 0.8 }, avoid: 'Round it with light cuts or sandpaper first; fast and light.' },
    { id: 'glue gap', says: 'A dry patch under it: no glue there', prior: 10, speaks: { 'glue gap': 0.85 }, avoid: 'Glue all over the scuffed tube, twisted in.' },
  ]),
  ...of('crack', [
    { id: 'glue gap', says: 'The tube was not glued all over', prior: 30, speaks: { 'glue gap': 0.9, 'while turning': 0.6 }, avoid: 'Spread the glue all over, twist the tube in.' },
    { id: 'heat', says: 'Heat of drilling or sanding opened it', prior: 22, speaks: { 'hot bit': 0.85, 'runs hot': 0.5, 'grit long': 0.4 }, avoid: 'Clear the bit every 12 mm; fresh paper, keep moving.' },
    { id: 'catch', says: 'The tool caught', prior: 20, speaks: { 'heavy cut': 0.92, 'while turning': 0.95, 'dull tool': 0.5 }, avoid: 'Light cuts, a sharp tool, the rest close.' },
    { id: 'crumb', says: 'It was pressed onto a crumb of glue', prior: 12, speaks: { 'bore not clear': 0.9, 'at an end': 0.8, 'while turning': 0.03 }, avoid: 'Ream the bore before the press.' },
    { id: 'drying', says: 'The blank dried and shrank on its tube', prior: 10, speaks: { 'wet blank': 0.85, 'while turning': 0.1 }, avoid: 'Wait until it is within two points of the shop.' },
    { id: 'knock', says: 'It was dropped or knocked', prior: 6, speaks: { dropped: 0.97 }, avoid: 'A padded tray between the steps.' },
  ]),
  ...of('void', [
    { id: 'grain', says: 'It is in the grain', prior: 45, speaks: { 'open pores': 0.7, 'figured wood': 0.6, 'brittle resin': 0.03, 'more of them': 0.4 }, avoid: 'Look the blank over; fill before the ladder.' },
    { id: 'casting', says: 'A bubble of the casting', prior: 30, speaks: { 'brittle resin': 0.97, 'more of them': 0.75 }, avoid: 'Blanks cast under pressure.' },
    { id: 'tear-out', says: 'A fibre was torn out', prior: 25, speaks: { 'dull tool': 0.8, 'coarse tool': 0.6, 'while turning': 0.7 }, avoid: 'A sharp tool; thin CA first on soft spots.' },
  ]),
  ...of('ring scratches', [
    { id: 'jump', says: 'A grit was skipped, or the jump was too great', prior: 40, speaks: { 'grit skipped': 0.7, 'great jump': 0.6 }, avoid: 'No jump over the method’s greatest.' },
    { id: 'short', says: 'A grit was left too early', prior: 28, speaks: { 'grit cut short': 0.8, 'worn paper': 0.35 }, avoid: 'Stay until nothing of the scratches before is left.' },
    { id: 'no with-grain', says: 'No with-grain pass showed them', prior: 22, speaks: { 'no with-grain': 0.93 }, avoid: 'Lathe stopped, a few strokes along, after every grit.' },
    { id: 'grit astray', says: 'A stray coarse grain under the paper', prior: 10, speaks: { 'dust left': 0.7, 'not cleaned': 0.4 }, avoid: 'Wipe between the grits; a clean cloth for each.' },
  ]),
  ...of('heat checks', [
    { id: 'too fast', says: 'It ran too fast under the paper', prior: 38, speaks: { 'runs hot': 0.8, 'pressed hard': 0.5 }, avoid: 'Slower, the finer the grit.' },
    { id: 'too long', says: 'Too long in one place', prior: 32, speaks: { 'grit long': 0.7, 'pressed hard': 0.75 }, avoid: 'Keep it moving; let it cool.' },
    { id: 'worn paper', says: 'The paper was worn and rubbed', prior: 30, speaks: { 'worn paper': 0.9, 'grit long': 0.5 }, avoid: 'A fresh piece when the dust stops.' },
  ]),
  ...of('ridges', [
    { id: 'thick coat', says: 'A coat went on too thick', prior: 34, speaks: { 'thick coats': 0.85, 'medium CA': 0.7 }, avoid: 'More coats, each thin.' },
    { id: 'slow strokes', says: 'Slow strokes while it was setting', prior: 28, speaks: { 'slow strokes': 0.9, 'accelerated': 0.5 }, avoid: 'Quick, once over, from the middle out.' },
    { id: 'medium', says: 'Medium CA lays ridges', prior: 24, speaks: { 'medium CA': 0.95 }, avoid: 'Thin coats last, or thin only.' },
    { id: 'towel', says: 'Towel grabbed', prior: 14, speaks: { 'towel': 0.95, 'slow strokes': 0.4 }, avoid: 'Closed-cell foam.' },
  ]),
  ...of('white dots', [
    { id: 'dust', says: 'Dust in low spots', prior: 30, speaks: { 'dust left': 0.85, 'not cleaned': 0.45, 'open pores': 0.45 }, avoid: 'Wipe, blow, look; sand low spots out before the next coat.' },
    { id: 'damp', says: 'The air was damp: it bloomed', prior: 24, speaks: { 'damp air': 0.93, 'wet blank': 0.2 }, avoid: 'Coat below 65 % humidity.' },
    { id: 'accelerator', says: 'Too much accelerator, or from too near', prior: 22, speaks: { 'sprayed near': 0.85, 'accelerated': 0.97 }, avoid: 'A light mist from 30 cm, or none.' },
    { id: 'too early', says: 'The next coat went on too early', prior: 18, speaks: { 'coat early': 0.85, 'thick coats': 0.35 }, avoid: 'Keep the wait, longer after a thick coat.' },
    { id: 'old bottle', says: 'The bottle is past its time', prior: 6, speaks: { 'old bottle': 0.8 }, avoid: 'A fresh bottle; a drop on scrap first.' },
  ]),
  ...of('foam', [
    { id: 'wet and thick', says: 'Accelerator on a thick wet coat', prior: 60, speaks: { 'coat still wet': 0.9, 'thick coats': 0.7, 'accelerated': 0.98, 'medium CA': 0.6 }, avoid: 'Thin coats; let it level before the mist.' },
    { id: 'near', says: 'Sprayed from too near', prior: 28, speaks: { 'sprayed near': 0.92, 'accelerated': 0.98 }, avoid: 'From 30 cm, a light mist.' },
    { id: 'shaken', says: 'Bubbles out of a shaken bottle', prior: 12, speaks: { 'accelerated': 0.2, 'more of them': 0.6 }, avoid: 'Turn lacquer over gently, never shake.' },
  ]),
  ...of('sand-through', [
    { id: 'thin film', says: 'Too little film for what levelling takes', prior: 38, speaks: { 'thin film': 0.8, 'coats left out': 0.35, 'open pores': 0.35 }, avoid: 'As many coats as the plan asks.' },
    { id: 'edge', says: 'The paper leaned on an edge', prior: 30, speaks: { 'at an end': 0.92 }, avoid: 'A flat block, fewer strokes at the ends.' },
    { id: 'spinning', says: 'Levelled with the lathe running', prior: 20, speaks: { spinning: 0.93 }, avoid: 'Lathe stopped, end to end.' },
    { id: 'soft', says: 'It was levelled before it was hard', prior: 8, speaks: { 'level early': 0.85 }, avoid: 'Keep the wait before levelling.' },
    { id: 'uneven', says: 'High places of an uneven film', prior: 12, speaks: { 'thick coats': 0.6, 'medium CA': 0.7 }, avoid: 'Thin even coats; level at stages.' },
  ]),
  ...of('bleed', [
    { id: 'wet wipe', says: 'A solvent wipe carried the colour', prior: 34, speaks: { 'wiped wet': 0.93, 'bleeding wood': 0.8 }, avoid: 'Blow off; never wipe wet across a joint.' },
    { id: 'wet coat', says: 'A wet coat over unsealed colour', prior: 36, speaks: { 'unsealed': 0.85, 'bleeding wood': 0.85, 'thick coats': 0.4 }, avoid: 'Seal the dark wood with thin CA first, by drops.' },
    { id: 'dust dragged', says: 'Coloured dust was dragged along', prior: 30, speaks: { 'dust dragged': 0.9, 'bleeding wood': 0.6 }, avoid: 'Along the grain only, away from the pale part; blow between grits.' },
  ]),
  ...of('lifting', [
    { id: 'oil', says: 'Oil of the wood came up under it', prior: 30, speaks: { 'oily wood': 0.93, 'not cleaned': 0.4 }, avoid: 'Alcohol just before the first coat, or thin CA at once.' },
    { id: 'wax', says: 'Wax or oil was on the wood', prior: 28, speaks: { 'wax or oil near': 0.9, 'at an end': 0.6 }, avoid: 'Wax the bushings, not the wood; a fresh towel.' },
    { id: 'end chipped', says: 'The end chipped when the bushing came off', prior: 26, speaks: { 'at an end': 0.97, 'knocked off': 0.8, 'bare bushings': 0.6 }, avoid: 'Score the joint, ease the edge.' },
    { id: 'late coat', says: 'The coat before had set too hard to bite', prior: 16, speaks: { 'coat late': 0.8 }, avoid: 'Within its latest time, or cut back first.' },
  ]),
  ...of('chipped end', [
    { id: 'bridge', says: 'Film bridged barrel and bushing', prior: 60, speaks: { 'bare bushings': 0.85, 'at an end': 0.97, 'knocked off': 0.5 }, avoid: 'Wax on the bushings or non-stick ones; score the joint.' },
    { id: 'knocked', says: 'The bushing was knocked off', prior: 40, speaks: { 'knocked off': 0.93, 'at an end': 0.95 }, avoid: 'Snap it on the metal, never from the finished side.' },
  ]),
  ...of('soft film', [
    { id: 'cold', says: 'Too cold to set', prior: 30, speaks: { 'cold air': 0.9 }, avoid: 'Warm the shop, the work and the bottle.' },
    { id: 'thick', says: 'Coats too thick, or too soon after another', prior: 34, speaks: { 'thick coats': 0.75, 'coat early': 0.65, 'medium CA': 0.55 }, avoid: 'Thin coats, and keep the waits.' },
    { id: 'damp', says: 'Damp got into it', prior: 20, speaks: { 'damp air': 0.9, 'near dew point': 0.5 }, avoid: 'A drier evening.' },
    { id: 'old bottle', says: 'The bottle is past its time', prior: 16, speaks: { 'old bottle': 0.85 }, avoid: 'Note the day it was opened; a fresh one.' },
  ]),
  ...of('fish-eyes', [
    { id: 'silicone', says: 'Silicone, wax or oil on the surface', prior: 75, speaks: { 'wax or oil near': 0.9, 'oily wood': 0.4 }, avoid: 'No silicone polish near the lathe; clean hands.' },
    { id: 'dirt', says: 'Dust or damp spots under the coat', prior: 25, speaks: { 'dust left': 0.7, 'not cleaned': 0.5 }, avoid: 'Blow, wipe where it may be wiped.' },
  ]),
  ...of('blush', [
    { id: 'dew', says: 'The surface was near the dew point', prior: 55, speaks: { 'near dew point': 0.9, 'damp air': 0.8 }, avoid: 'Warm the work first; not above 75 %.' },
    { id: 'cold work', says: 'The work was colder than the air', prior: 25, speaks: { 'cold air': 0.8, 'damp air': 0.4 }, avoid: 'Let the work come to the warmth of the shop.' },
    { id: 'thick', says: 'A heavy wet coat', prior: 20, speaks: { 'thick coats': 0.85 }, avoid: 'Thin coats, turned by hand.' },
  ]),
  ...of('step', [
    { id: 'not measured', says: 'It was not measured', prior: 38, speaks: { 'not measured': 0.92 }, avoid: 'Calliper at both ends, to the turn-to size.' },
    { id: 'bushings', says: 'The bushings are worn', prior: 30, speaks: { 'worn bushings': 0.85, 'not measured': 0.6 }, avoid: 'Trust the calliper; enter the true bushing size.' },
    { id: 'film', says: 'The film came out other than reckoned', prior: 32, speaks: { 'thick coats': 0.6, 'coats left out': 0.4, 'medium CA': 0.5 }, avoid: 'Measure before the first and after the last coat: your own build is learnt.' },
  ]),
  ...of('oval', [
    { id: 'tight', says: 'The mandrel was squeezed and bent', prior: 40, speaks: { 'tight mandrel': 0.92, 'both at once': 0.6 }, avoid: 'Just tight enough to drive.' },
    { id: 'bent', says: 'The mandrel is bent', prior: 25, speaks: { 'bent mandrel': 0.95 }, avoid: 'Roll it on glass; a new one.' },
    { id: 'whip', says: 'A long mandrel whipped', prior: 35, speaks: { 'both at once': 0.92, 'heavy cut': 0.4 }, avoid: 'One barrel at a time, or between centres.' },
  ]),
  ...of('mechanism', [
    { id: 'pressed too far', says: 'Pressed past its place', prior: 55, speaks: { 'pressed at once': 0.9 }, avoid: 'Just short of the ring; try the refill; a little more.' },
    { id: 'not far', says: 'Not pressed far enough yet', prior: 25, speaks: { 'pressed at once': 0.15 }, avoid: 'Try, then a little more.' },
    { id: 'tube length', says: 'The tube’s length is off', prior: 20, speaks: { 'tube cut': 0.9 }, avoid: 'Trim to bright brass and stop.' },
  ]),
  ...of('crumb', [
    { id: 'glue in tube', says: 'Glue got into the tube', prior: 75, speaks: { 'no plug': 0.9, 'bore not clear': 0.9 }, avoid: 'Plug the tube’s ends with wax or putty; ream before the press.' },
    { id: 'film in bore', says: 'Finish ran into the bore', prior: 25, speaks: { 'bare bushings': 0.7, 'thick coats': 0.5 }, avoid: 'Bushings tight on the ends; clear the bore at the end.' },
  ]),
]
