export { day } from './day'
export {
  counted, currencies, currencyName, decimal, list, micrometres, millilitres, minorDigits, money, share, trimmed,
} from './number'
export { formatCountdown, formatSpan, roughSpan } from './span'
export { capital, within } from './words'
