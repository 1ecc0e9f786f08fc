import { readFileSync, readdirSync } from 'node:fs'
import type { AnySchema } from 'yup'
import * as schemas from '../../schemas'
import * as intake from '../../schemas/intake'

/** A route as its file says it, and the schema that what comes with it is checked by; none where nothing comes, or a picture. */
export interface Route {
  way: string
  /** With `[id]` where a thing is named. */
  path: string
  /** Of its body, or of what its address asks. */
  schema: AnySchema | undefined
}

/** Every route there is, from the routes’ own files. */
export const routes = (): Route[] =>
  readdirSync('server/api', { recursive: true, encoding: 'utf8' }).flatMap((file) => {
    const [, path = '', way = ''] = /^(.*?)\.(get|post|put|patch|delete)\.ts$/.exec(file) ?? []
    if (!way) return []
    const [, name = ''] = /(?:readChecked|queryOf)\(event, (\w+)/.exec(readFileSync(`server/api/${file}`, 'utf8')) ?? []
    const schema = ({ ...schemas, ...intake } as unknown as Record<string, AnySchema | undefined>)[name]
    if (name && !schema) throw new Error(`${file} checks by ${name}, which the schemas do not have.`)
    return [{ way: way.toUpperCase(), path: `/api/${path.replace(/\/?index$/, '')}`, schema }]
  })
