import { diagnose, type DefectKind } from '../core/defects'
import { causes, evidence } from '.'

/**
 * Cases as turners tell them, with what the log or the turner would say of each and the cause, or causes, that one who knows would name
 * [trade: common practice without source; written down for this test]. A “-” says that it was looked for and is not so. What goes with
 * nearly every pen (accelerator, the bench’s usual glue, pores) is among them, for it must not lead astray.
 */
const cases: [kind: DefectKind, scene: string, told: string, named: string][] = [
  ['chip', 'skew not honed since the last pen', 'while turning, dull tool, -heavy cut, -at an end', 'dull tool'],
  ['chip', 'catch with the gouge half way', 'while turning, heavy cut, coarse tool, -dull tool', 'deep cut'],
  ['chip', 'corner gone when cutting in from the end', 'while turning, at an end, cut inward, -heavy cut, -dull tool', 'ends inward'],
  ['chip', 'bark inclusion fell out of burr', 'while turning, inclusion, figured wood, -dull tool, -heavy cut', 'inclusion'],
  ['crack', 'hollow sound, tube went in half dry', 'glue gap, while turning, -heavy cut', 'glue gap'],
  ['crack', 'bit smoked in the oily wood', 'hot bit, -while turning, -glue gap, -dropped', 'heat'],
  ['crack', 'split when the mechanism went in over a crumb', 'bore not clear, at an end, -while turning, -wet blank', 'crumb'],
  ['crack', 'opened a week later, blank was from a fresh log', 'wet blank, -while turning, -dropped, -hot bit', 'drying'],
  ['void', 'oak pores all over', 'open pores, more of them, -while turning, -dull tool', 'grain'],
  ['void', 'bubbles in a casting', 'brittle resin, more of them, -open pores, -figured wood', 'casting'],
  ['void', 'pulled out by a blunt round tool', 'dull tool, coarse tool, while turning, -more of them, -brittle resin', 'tear-out'],
  ['ring scratches', 'from 150 straight to 400', 'great jump, grit skipped, -grit cut short', 'jump'],
  ['ring scratches', 'seconds on the 320 with worn paper', 'grit cut short, worn paper, -great jump, -grit skipped', 'short'],
  ['ring scratches', 'never stopped the lathe', 'no with-grain, -great jump, -grit skipped, -grit cut short', 'no with-grain'],
  ['heat checks', '3000 turns and a heavy hand', 'runs hot, pressed hard, -grit long, -worn paper', 'too fast'],
  ['heat checks', 'five minutes on one grit', 'grit long, pressed hard, -runs hot, -worn paper', 'too long'],
  ['heat checks', 'paper that only polished', 'worn paper, grit long, -runs hot, -pressed hard', 'worn paper'],
  ['ridges', 'thick medium coats', 'thick coats, medium CA, accelerated, -slow strokes', 'thick coat, medium'],
  ['ridges', 'went over it twice while it grabbed', 'slow strokes, accelerated, -medium CA, -thick coats', 'slow strokes'],
  ['ridges', 'paper towel grabbed in thin CA', 'towel, accelerated, -medium CA, -thick coats, -slow strokes', 'towel'],
  ['white dots', 'sanding dust in the pores', 'dust left, open pores, accelerated, -damp air, -sprayed near', 'dust'],
  ['white dots', 'a wet August evening', 'damp air, accelerated, -dust left, -coat early, -sprayed near', 'damp'],
  ['white dots', 'sprayed twice from a hand’s breadth', 'sprayed near, accelerated, -damp air, -dust left', 'accelerator'],
  ['white dots', 'coats in a hurry', 'coat early, accelerated, -damp air, -dust left, -sprayed near', 'too early'],
  ['foam', 'sprayed onto a wet run of medium', 'coat still wet, thick coats, accelerated, medium CA', 'wet and thick'],
  ['foam', 'nozzle at 5 cm on a thin coat', 'sprayed near, accelerated, -coat still wet, -thick coats', 'near'],
  ['foam', 'bottle shaken, no accelerator', '-accelerated, -coat still wet, -sprayed near, more of them', 'shaken'],
  ['sand-through', 'levelled after two coats', 'thin film, coats left out, -at an end, -spinning', 'thin film'],
  ['sand-through', 'bright ring at the very end', 'at an end, -thin film, -spinning', 'edge'],
  ['sand-through', 'lathe running under P400', 'spinning, -thin film, -at an end, -level early', 'spinning'],
  ['bleed', 'alcohol across a plum and holly joint', 'wiped wet, bleeding wood, -unsealed, -dust dragged', 'wet wipe'],
  ['bleed', 'first coat straight on a red exotic', 'unsealed, bleeding wood, -wiped wet, -dust dragged', 'wet coat'],
  ['bleed', 'red dust rubbed into the pale half', 'dust dragged, bleeding wood, -wiped wet, -unsealed', 'dust dragged'],
  ['lifting', 'oily exotic, not wiped', 'oily wood, not cleaned, -at an end, -wax or oil near', 'oil'],
  ['lifting', 'bushing wax crept onto the end', 'wax or oil near, at an end, -oily wood, -knocked off', 'wax'],
  ['lifting', 'bushing knocked off, edge came along', 'at an end, knocked off, bare bushings, -oily wood, -wax or oil near', 'end chipped'],
  ['lifting', 'next coat two days late', 'coat late, -oily wood, -at an end, -wax or oil near', 'late coat'],
  ['chipped end', 'film bridged onto unwaxed bushings', 'bare bushings, at an end, -knocked off', 'bridge'],
  ['chipped end', 'bushing levered off', 'knocked off, at an end, -bare bushings', 'knocked'],
  ['chipped end', 'bridge broke when the bushing was pulled', 'bare bushings, at an end, knocked off', 'bridge, knocked'],
  ['soft film', 'unheated shop in January', 'cold air, -thick coats, -damp air, -dry air, -old bottle', 'cold'],
  ['soft film', 'heated air at 22 %', 'dry air, -cold air, -thick coats, -coat early, -old bottle', 'dry air'],
  ['soft film', 'three thick ones within a minute', 'thick coats, coat early, medium CA, -cold air, -dry air', 'thick'],
  ['soft film', 'bottle from the year before last', 'old bottle, -cold air, -thick coats, -damp air, -dry air', 'old bottle'],
  ['fish-eyes', 'silicone polish used on the bed', 'wax or oil near, -dust left', 'silicone'],
  ['fish-eyes', 'fingerprints of hand cream', 'wax or oil near, -not cleaned, -dust left', 'silicone'],
  ['fish-eyes', 'dust under the lacquer', 'dust left, not cleaned, -wax or oil near', 'dirt'],
  ['blush', 'lacquer in fog', 'near dew point, damp air, -cold air, -thick coats', 'dew'],
  ['blush', 'blank straight from the car', 'cold air, -near dew point, -thick coats', 'cold work'],
  ['blush', 'one heavy coat', 'thick coats, -near dew point, -damp air, -cold air', 'thick'],
  ['step', 'turned by eye', 'not measured, -worn bushings, -thick coats', 'not measured'],
  ['step', 'bushings sanded under size', 'worn bushings, -thick coats', 'bushings'],
  ['step', 'film twice as thick as planned', 'thick coats, medium CA, -not measured, -worn bushings', 'film'],
  ['oval', 'nut pulled up hard', 'tight mandrel, -bent mandrel, -both at once', 'tight'],
  ['oval', 'mandrel wobbles bare', 'bent mandrel, -tight mandrel', 'bent'],
  ['oval', 'long mandrel, both barrels, deep cuts', 'both at once, heavy cut, -tight mandrel, -bent mandrel', 'whip'],
  ['mechanism', 'pressed in one go', 'pressed at once, -tube cut', 'pressed too far'],
  ['mechanism', 'stopped too soon, tried in between', '-pressed at once, -tube cut', 'not far'],
  ['mechanism', 'tube trimmed two millimetres', 'tube cut, -pressed at once', 'tube length'],
  ['crumb', 'tube ends left open at gluing', 'no plug, bore not clear', 'glue in tube'],
  ['crumb', 'epoxy squeezed in and was not reamed', 'bore not clear, -bare bushings, -thick coats', 'glue in tube'],
  ['crumb', 'film ran into the end from the bushing', '-no plug, bare bushings, thick coats, -bore not clear', 'film in bore'],
]

const findingsOf = (told: string) => told.split(', ').map((word) => {
  const holds = !word.startsWith('-')
  return { evidence: holds ? word : word.slice(1), holds, says: word, from: 'log' as const }
})
const topOf = (kind: DefectKind, told: string) => diagnose(kind, causes, evidence, findingsOf(told)).causes[0]!.id

it('of sixty worked cases, three or more of each kind that has causes, the top cause is one a turner would name in at least 55', () => {
  const asked = new Set(evidence.map(one => one.id))
  for (const [, , told] of cases) for (const one of findingsOf(told)) expect(asked).toContain(one.evidence)
  expect(cases.length).toBeGreaterThanOrEqual(60)
  const counts = new Map<DefectKind, number>()
  for (const [kind] of cases) counts.set(kind, (counts.get(kind) ?? 0) + 1)
  for (const kind of new Set(causes.map(one => one.kind))) expect(counts.get(kind) ?? 0).toBeGreaterThanOrEqual(3)
  const missed = cases.filter(([kind, , told, named]) => !named.split(', ').includes(topOf(kind, told)))
  const astray = missed.map(([kind, scene, told]) => `${kind}, ${scene}: ${topOf(kind, told)}`)
  expect({ astray, right: cases.length - missed.length >= 55 }).toMatchObject({ right: true })
})

it('accelerator and medium glue, which go with nearly every pen, hardly move what is found (within a fifth)', () => {
  for (const kind of ['white dots', 'ridges'] as const) {
    const chanceOf = (told: ReturnType<typeof findingsOf>) => diagnose(kind, causes, evidence, told).causes
    const without = chanceOf([])
    const accelerated = new Map(chanceOf(findingsOf('accelerated')).map(one => [one.id, one.chance]))
    for (const { id, chance } of without) expect(Math.abs((accelerated.get(id) ?? 0) - chance)).toBeLessThan(0.2)
  }
})
