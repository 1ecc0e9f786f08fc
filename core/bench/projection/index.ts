export { type Fact, type ProjectedDefect } from './facts'
export { plannedTraits } from './told'
export { brokenProjection, project, PROJECTION, summaryIn, type ProjectedSummary, type Projection } from './projection'
