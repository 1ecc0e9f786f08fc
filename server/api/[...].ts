import { NotFoundError } from '../faults'
import { noRoute } from '../http/route'

export default noRoute(async () => {
  throw new NotFoundError('There is nothing under this address.')
})
