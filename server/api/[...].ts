import { NotFoundError } from '../faults'
import { rawRoute } from '../http/route'

export default rawRoute(async () => {
  throw new NotFoundError('There is nothing under this address.')
})
