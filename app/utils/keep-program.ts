/** Questions of this page that only read, as they were asked. */
const asked = (): string[] =>
  performance.getEntriesByType('resource').map(one => one.name).filter(name => new URL(name).pathname.startsWith('/api/'))

/** So many planned pens are kept whole: those somebody may begin while there is no network. */
const PLANNED = 30

/** What pages ask for that were not visited yet, when they open. */
async function askedElsewhere(): Promise<string[]> {
  const [{ pens }, methods] = await Promise.all([
    api('GET /api/pens', { query: { stage: 'planned', sort: 'marks', limit: PLANNED } }),
    api('GET /api/methods'),
  ])
  const lists = [
    '/api/pens', '/api/pens?stage=planned&sort=marks&limit=30', '/api/pens?stage=finished&limit=30',
    '/api/pens?stage=planned&sort=marks&limit=200', '/api/pens/due', '/api/pens/mark', '/api/defects', '/api/defects/history',
    '/api/evenings', '/api/evenings/hours', '/api/orders?state=open', '/api/orders?limit=50', '/api/places', '/api/customers',
    '/api/classes', '/api/pens?at=here&sort=marks&limit=200', '/api/pens?stage=in+work&sort=marks&limit=200',
  ]
  return [...lists, ...pens.map(({ pen }) => `/api/pens/${pen.id}`), ...methods.map(({ id }) => `/api/methods/${id}`)].map(addressHere)
}

/**
 * Has the service worker keep the whole program, what this page was answered before the worker was there, and what other pages ask for
 * when they open: every page opens without a network once one was opened with one.
 */
export async function keepProgram(): Promise<void> {
  const { serviceWorker } = navigator
  if (!serviceWorker) return
  try {
    await serviceWorker.register('/sw.js')
    const { active } = await serviceWorker.ready
    const keep = [...asked(), ...(await askedElsewhere())].map(address => new URL(address, location.href).href)
    active?.postMessage({ keep })
  } catch {
    // Without it a network is needed to open a page; with one nothing is missing.
  }
}
