import { makeTemplate } from '../scripts/lib/template'

/** Before the first test: the files that every stand begins with. What is answered is done after the last. */
export default makeTemplate
