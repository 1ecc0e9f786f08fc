import {
  counted, currencies, currencyName, decimal, list, micrometres, millilitres, minorDigits, money, share, trimmed,
} from './number'
import { capital, within } from './words'

it.each([
  [decimal(8.304, 2), '8.30'],
  [decimal(1234.5), '1235'],
  [decimal(-0.04, 1), '0.0'],
  [decimal(-3.21, 1), '−3.2'],
  [trimmed(7, 2), '7'],
  [trimmed(9.525, 2), '9.53'],
  [micrometres(9.94), '9.9'],
  [micrometres(25.8), '26'],
  [millilitres(0.036), '0.04 ml'],
  [millilitres(3.24), '3.2 ml'],
  [millilitres(28), '28 ml'],
  [share(0.617), '62 %'],
  [money(120_450), '1,204.50'],
  [money(-5), '−0.05'],
  // Places by ISO 4217: two of the pound, none of the yen, three of the dinar of Kuwait.
  [money(120_450, 'GBP'), '£1,204.50'],
  [money(-120_450, 'EUR'), '−€1,204.50'],
  [money(1204, 'JPY'), 'JP¥1,204'],
  [money(1_204_500, 'KWD'), 'KWD\u{a0}1,204.500'],
  [currencyName('CHF'), 'CHF, Swiss Franc'],
  [String([minorDigits('JPY'), minorDigits(null), currencies().includes('SEK')]), '0,2,true'],
  [counted(1, 'coat'), '1 coat'],
  [counted(0, 'coat'), '0 coats'],
  [counted(2, 'box', 'boxes'), '2 boxes'],
  [list(['P320']), 'P320'],
  [list(['P320', 'P600']), 'P320 and P600'],
  [list(['P320', 'P400', 'P600']), 'P320, P400 and P600'],
  [capital('tip end'), 'Tip end'],
  [within('Friction polish'), 'friction polish'],
  [within('CA film'), 'CA film'],
  [within('P320'), 'P320'],
])('%s', (text, wanted) => {
  expect(text).toBe(wanted)
})
