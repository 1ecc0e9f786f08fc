/** The rooms of the core, each with those it may know. What is not named here is forbidden. */
const CORE = {
  sure: [],
  chance: [],
  format: [],
  figures: ['sure'],
  units: ['format', 'sure'],
  abrasives: ['figures', 'sure'],
  sanding: ['figures', 'format', 'sure'],
  barrel: ['figures', 'format', 'sure'],
  film: ['figures', 'format', 'sure'],
  climate: ['figures', 'format', 'sure'],
  shelf: ['abrasives', 'barrel', 'climate', 'figures', 'film', 'format', 'sanding', 'sure'],
  method: ['abrasives', 'figures', 'film', 'format', 'shelf', 'sure'],
  defects: ['barrel', 'figures', 'format', 'method', 'shelf', 'sure'],
  plan: ['abrasives', 'barrel', 'climate', 'defects', 'figures', 'film', 'format', 'method', 'sanding', 'shelf', 'sure', 'units'],
  bench: [
    'abrasives', 'barrel', 'climate', 'defects', 'evening', 'figures', 'film', 'findings', 'format', 'method', 'plan', 'sanding', 'shelf',
    'sure', 'units',
  ],
  evening: ['chance', 'sure'],
  classroom: ['bench', 'plan'],
  intake: [],
  findings: ['defects', 'sure'],
  money: ['abrasives', 'figures', 'plan', 'shelf'],
  orders: ['bench', 'sure'],
  stock: ['sure'],
  simulate: ['bench', 'chance', 'climate', 'defects', 'figures', 'film', 'method', 'plan', 'sanding', 'shelf', 'sure'],
}
/** The rooms of the plan, later ones on earlier ones only. */
const PLAN = ['model', 'make', 'trace', 'judge', 'say', 'mend']

const beyond = ([room, known]) => ({
  name: `core-${room}`,
  comment: `core/${room} knows ${known.join(', ') || 'no other room'}.`,
  severity: 'error',
  from: { path: `^core/${room}/`, pathNot: '\\.test\\.ts$' },
  to: { path: '^core/', pathNot: `^core/(${[room, ...known].join('|')})/` },
})
const later = (room, index) => ({
  name: `plan-${room}`,
  comment: `core/plan/${room} stands before ${PLAN.slice(index + 1).join(', ') || 'none'}.`,
  severity: 'error',
  from: { path: `^core/plan/${room}/`, pathNot: '\\.test\\.ts$' },
  to: { path: `^core/plan/(${PLAN.slice(index + 1).join('|')})/` },
})

/** Imports between whole parts stand in `eslint.config.mjs`; here are the rooms of the core, and that nothing goes round in a circle. */
export default {
  forbidden: [
    {
      name: 'no-circle',
      comment: 'Imports go round in a circle, perhaps by types alone: part what they share.',
      severity: 'error',
      from: {},
      to: { circular: true },
    },
    ...Object.entries(CORE).map(beyond),
    ...PLAN.slice(0, -1).map(later),
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    exclude: { path: '\\.(css|svg)$' },
    tsPreCompilationDeps: true,
    tsConfig: { fileName: 'tsconfig.core.json' },
    enhancedResolveOptions: { extensions: ['.ts', '.mjs', '.js', '.vue'], mainFields: ['main', 'types'] },
    reporterOptions: { archi: { collapsePattern: '^core/(plan/[^/]+|[^/]+)' } },
  },
}
