import { dropSecret } from '../../db/evenings'
import { route } from '../../http/route'
import { inWorkshop } from '../../http/workshop'

export default route('DELETE /api/evenings/calendar', async (event) => {
  await inWorkshop(event, dropSecret)
  return {}
})
