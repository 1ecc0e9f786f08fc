import { array, number } from 'yup'
import { exact, line, uuid, word, zone } from './common'

const sheet = word(24, 21, 10)
const from = number().integer().min(1, 'Should lie between 1 and 24.').max(24, 'Should lie between 1 and 24.')

/** What is said of a paper of one pen: the maker’s words on its card; how many labels a sheet has, and from which place on. */
export const paperQuerySchema = exact({ words: line(300), sheet, from })
/** What is said of a paper with times or a day on it: whose clock they go by; the server’s where nothing is said. */
export const timedQuerySchema = exact({ zone: zone() })
/** Labels of several pens. */
export const labelsQuerySchema = exact({
  pens: array(uuid().required()).min(1).max(200, 'At most 200 labels at once.').required(), sheet, from,
})
