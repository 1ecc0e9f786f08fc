import { NotFoundError } from '../http/errors'
import { route } from '../http/route'

export default route(async () => {
  throw new NotFoundError('There is nothing under this address.')
})
