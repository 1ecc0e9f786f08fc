import { randomUUID } from 'node:crypto'
import type { Knex } from 'knex'
import type { PhotoRef } from '../../contract'
import sharp from 'sharp'
import { BodyError, NotFoundError } from '../faults'
import { turns } from '../turns'

/** Longest sides that are kept, px: one to look at, one for rows. */
const LARGE = 1600
const SMALL = 320
/** As many pixels as a telephone takes at its finest setting; beyond it a small file may unpack into a full memory (4 bytes a pixel). */
const MOST_PIXELS = 50_000_000
/** Pictures are unpacked one after the other: four at once took half a gigabyte. */
const inTurn = turns(1)
const BROKEN = 'This picture is broken or far too large in pixels. Choose another, or save it again.'
const KINDS = ['jpeg', 'png', 'webp']

/** A picture in the two sizes that are kept. */
interface Developed extends PhotoRef {
  large: Buffer
  small: Buffer
}

/**
 * Makes a picture ready to be kept: in two sizes, turned upright; what else the camera wrote into it, such as where it stood, is left
 * out.
 * @throws BodyError when it is no JPEG, PNG or WebP picture, or is broken
 */
export async function develop(bytes: Buffer, id: string = randomUUID()): Promise<Developed> {
  const image = bytes.length ? sharp(bytes, { limitInputPixels: MOST_PIXELS, failOn: 'error' }) : undefined
  // The head of it tells its size: what is too large is never unpacked.
  const { format, width = 0, height = 0 } = await image?.metadata().catch(() => undefined) ?? {}
  if (!image || !format || !KINDS.includes(format))
    throw new BodyError(415, 'This is no picture we can read. Choose a JPEG, PNG or WebP file.')
  if (width * height > MOST_PIXELS) throw new BodyError(415, BROKEN)
  return inTurn(async () => {
    const large = await image.rotate().resize({ width: LARGE, height: LARGE, fit: 'inside', withoutEnlargement: true })
      .webp({ quality: 82 }).toBuffer({ resolveWithObject: true })
    return { id, width: large.info.width, height: large.info.height, large: large.data, small: await smallOf(large.data) }
  }).catch(() => {
    throw new BodyError(415, BROKEN)
  })
}

/** The small picture of a large one, for rows. */
export const smallOf = (large: Buffer): Promise<Buffer> =>
  sharp(large, { limitInputPixels: MOST_PIXELS })
    .resize({ width: SMALL, height: SMALL, fit: 'inside', withoutEnlargement: true })
    .webp({ quality: 82 })
    .toBuffer()

/** Keeps a picture. One whose id is known already is not kept again. */
export async function keepPhoto(knex: Knex, { large, small, ...photo }: Developed): Promise<PhotoRef> {
  await knex('photos').insert({ ...photo, large, small }).onConflict(['workshop_id', 'id']).ignore()
  return photo
}

/** A kept picture as WebP. @throws NotFoundError */
export async function readPhoto(knex: Knex, id: string, size: 'large' | 'small'): Promise<Buffer> {
  const row = await knex('photos').where({ id }).first(size)
  if (!row) throw new NotFoundError('There is no such picture.')
  return row[size]
}
