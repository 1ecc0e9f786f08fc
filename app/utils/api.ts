import type { AnswerOf, BodyOf, PictureRoute, QueryOf, RouteName } from '#contract'
import { useFreshness } from '../stores/freshness'
import { here, leaveGone } from './here'
import { toDoor } from './door'
import { once } from './once'
import { refused } from './refusal'

type NamesIn<Path extends string> = Path extends `${string}:${infer Name}/${infer Rest}`
  ? Name | NamesIn<Rest>
  : Path extends `${string}:${infer Name}` ? Name : never

/** What a route is called with: the names in its path, what it is asked, its body, or the picture it is sent. */
type Given<R extends RouteName> = ([NamesIn<R>] extends [never] ? object : { params: Record<NamesIn<R>, string> })
  & (undefined extends QueryOf<R> ? object : { query: QueryOf<R> })
  & (R extends PictureRoute ? { picture: Blob } : undefined extends BodyOf<R> ? object : { body: BodyOf<R> })

type Arguments<R extends RouteName> = object extends Given<R> ? [] : [given: Given<R>]
interface Options {
  method: string
  query?: object
  body?: unknown
  headers?: Record<string, string>
  onResponse: (told: { response: { headers: Headers } }) => void
}
type Send = (path: string, options: Options) => Promise<unknown>

/** The workshop this page is in, by its id. */
export const whereHere = (): Promise<string> => here(() => call('GET /api/workshops', undefined))

/** Routes that are asked of the installation, not of a workshop in it. */
const isCommon = (route: RouteName): boolean => / \/api\/(workshops|health|door|shown)\b/.test(route)
/** The workshop is not there any more; nobody is in any more. */
const [GONE, OUT] = [410, 401]

/**
 * Calls a route of the contract in the workshop this page is in: what it is sent and what it answers are checked against it. Throws as
 * `refused` reads it; a page whose workshop is gone goes to another that is there.
 */
export async function api<R extends RouteName>(route: R, ...args: Arguments<R>): Promise<AnswerOf<R>> {
  try {
    const workshop = isCommon(route) ? undefined : await whereHere()
    return await call(route, workshop, ...args)
  } catch (error) {
    const { status } = refused(error)
    if (status === GONE) leaveGone()
    if (status === OUT) await toDoor()
    throw error
  }
}

async function call<R extends RouteName>(route: R, workshop: string | undefined, ...[given]: Arguments<R>): Promise<AnswerOf<R>> {
  const { params = {}, query, body, picture } = (given ?? {}) as {
    params?: Record<string, string>
    query?: object
    body?: unknown
    picture?: Blob
  }
  const [method = 'GET', path = ''] = route.split(' ')
  const address = path.replace(/:(\w+)/g, (_, name: string) => encodeURIComponent(params[name] ?? ''))
  const content = picture
    ? { body: picture, headers: { 'content-type': picture.type || 'image/jpeg' } }
    : body === undefined ? {} : { body }
  const fresh = useFreshness()
  const onResponse = ({ response }: { response: { headers: Headers } }) => fresh.hear(response.headers)
  const asked = { ...query, ...(workshop ? { workshop } : {}) }
  const send = () => ($fetch as unknown as Send)(address, { method, query: asked, ...content, onResponse })
  // What a POST makes it would make twice; the door makes nothing.
  const isMaking = method === 'POST' && !picture && !address.startsWith('/api/door')
  return (await (isMaking ? once(JSON.stringify([address, asked, body]), send) : send())) as AnswerOf<R>
}
