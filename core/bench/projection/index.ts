export { type Fact, type ProjectedDefect } from './facts'
export { project, PROJECTION, summaryIn, type ProjectedSummary, type Projection } from './projection'
