import { getRequestPath, setResponseHeader } from 'h3'
import { NEEDS } from '../access/needs'
import { MethodError, NotFoundError } from '../faults'
import { noRoute } from '../http/route'

/** Every route’s path as a pattern, with its method. */
const known = Object.keys(NEEDS).map((name) => {
  const [method = '', path = ''] = name.split(' ')
  return { method, is: new RegExp(`^${path.replace(/[.]/g, '\\.').replace(/:\w+/g, '[^/]+')}$`) }
})

/** What is under no route: a path that is known by other methods, or by none. */
export default noRoute(async (event) => {
  const path = (getRequestPath(event).split('?')[0] ?? '').replace(/\/$/, '')
  const methods = known.flatMap(one => (one.is.test(path) ? [one.method] : []))
  if (!methods.length) throw new NotFoundError('There is nothing under this address.')
  setResponseHeader(event, 'Allow', methods.join(', '))
  throw new MethodError()
})
