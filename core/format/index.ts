export { day } from './day'
export { counted, decimal, list, micrometres, millilitres, money, share, trimmed } from './number'
export { formatCountdown, formatSpan } from './span'
export { capital, within } from './words'
