import { randomUUID } from 'node:crypto'
import type { Knex } from 'knex'
import type { PhotoRef } from '../../contract'
import sharp from 'sharp'
import { BodyError, NotFoundError } from '../faults'

/** Longest sides that are kept, px: one to look at, one for rows. */
const LARGE = 1600
const SMALL = 320
/** More pixels than any camera at a bench has; beyond it a small file may unpack into a full memory. */
const MOST_PIXELS = 100_000_000
const KINDS = ['jpeg', 'png', 'webp']

/**
 * Keeps a picture in two sizes, turned upright; what else the camera wrote into it, such as where it stood, is left out.
 * A picture whose id is known already is not kept again.
 * @throws BodyError when it is no JPEG, PNG or WebP picture, or is broken
 */
export async function keepPhoto(knex: Knex, bytes: Buffer, id: string = randomUUID()): Promise<PhotoRef> {
  const image = bytes.length ? sharp(bytes, { limitInputPixels: MOST_PIXELS, failOn: 'error' }) : undefined
  const kind = await image?.metadata().then(
    data => data.format,
    () => undefined,
  )
  if (!image || !kind || !KINDS.includes(kind)) throw new BodyError(415, 'This is no picture we can read. Choose a JPEG, PNG or WebP file.')
  const fit = (side: number) =>
    image
      .clone()
      .rotate()
      .resize({ width: side, height: side, fit: 'inside', withoutEnlargement: true })
      .webp({ quality: 82 })
      .toBuffer({ resolveWithObject: true })
  const [large, small] = await Promise.all([fit(LARGE), fit(SMALL)]).catch(() => {
    throw new BodyError(415, 'This picture is broken or far too large in pixels. Choose another, or save it again.')
  })
  const photo = { id, width: large.info.width, height: large.info.height }
  await knex('photos')
    .insert({ ...photo, large: large.data, small: small.data })
    .onConflict('id')
    .ignore()
  return photo
}

/** A kept picture as WebP. @throws NotFoundError */
export async function readPhoto(knex: Knex, id: string, size: 'large' | 'small'): Promise<Buffer> {
  const row = await knex('photos').where({ id }).first(size)
  if (!row) throw new NotFoundError('There is no such picture.')
  return row[size]
}
