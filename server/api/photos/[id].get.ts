import { getQuery, setResponseHeaders } from 'h3'
import { readPhoto } from '../../db/photos'
import { idParam } from '../../http/params'
import { rawRoute } from '../../http/route'
import { inWorkshop } from '../../http/workshop'

/** A picture; it never changes under its address, so the browser may keep it. */
export default rawRoute('GET /api/photos/:id', async (event) => {
  const size = getQuery(event).size === 'small' ? 'small' : 'large'
  const bytes = await inWorkshop(event, knex => readPhoto(knex, idParam(event), size))
  setResponseHeaders(event, {
    'content-type': 'image/webp',
    'cache-control': 'private, max-age=31536000, immutable',
    'x-content-type-options': 'nosniff',
  })
  return bytes
})
