import { getQuery, setResponseHeaders } from 'h3'
import { db } from '../../db/connection'
import { readPhoto } from '../../db/photos'
import { idParam } from '../../http/params'
import { rawRoute } from '../../http/route'

/** A picture; it never changes under its address, so the browser may keep it. */
export default rawRoute(async (event) => {
  const bytes = await readPhoto(db(), idParam(event), getQuery(event).size === 'small' ? 'small' : 'large')
  setResponseHeaders(event, {
    'content-type': 'image/webp',
    'cache-control': 'private, max-age=31536000, immutable',
    'x-content-type-options': 'nosniff',
  })
  return bytes
})
