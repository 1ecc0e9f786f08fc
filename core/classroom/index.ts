export { classStanding, type ClassStanding, type Held } from './standing'
export { AGREE, CLEAR, freedoms, type ClassWork, type Freedom } from './work'
