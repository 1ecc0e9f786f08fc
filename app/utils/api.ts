import type { AnswerOf, BodyOf, PictureRoute, RouteName } from '#contract'

type NamesIn<Path extends string> = Path extends `${string}:${infer Name}/${infer Rest}`
  ? Name | NamesIn<Rest>
  : Path extends `${string}:${infer Name}` ? Name : never

/** What a route is called with: the names in its path, its body, or the picture it is sent. */
type Given<R extends RouteName> = ([NamesIn<R>] extends [never] ? object : { params: Record<NamesIn<R>, string> })
  & (R extends PictureRoute ? { picture: Blob } : undefined extends BodyOf<R> ? object : { body: BodyOf<R> })

type Arguments<R extends RouteName> = object extends Given<R> ? [] : [given: Given<R>]
type Send = (path: string, options: { method: string, body?: unknown, headers?: Record<string, string> }) => Promise<unknown>

/** Calls a route of the contract: what it is sent and what it answers are checked against it. Throws as `refused` reads it. */
export async function api<R extends RouteName>(route: R, ...[given]: Arguments<R>): Promise<AnswerOf<R>> {
  const { params = {}, body, picture } = (given ?? {}) as { params?: Record<string, string>, body?: unknown, picture?: Blob }
  const [method = 'GET', path = ''] = route.split(' ')
  const address = path.replace(/:(\w+)/g, (_, name: string) => encodeURIComponent(params[name] ?? ''))
  const content = picture
    ? { body: picture, headers: { 'content-type': picture.type || 'image/jpeg' } }
    : body === undefined ? {} : { body }
  return (await ($fetch as unknown as Send)(address, { method, ...content })) as AnswerOf<R>
}
