import { randomBytes } from 'node:crypto'
import { setResponseHeader } from 'h3'

/**
 * A strict content security policy. The only inline scripts are those that Nuxt writes into the page for its own settings; they carry a
 * nonce made for this one answer. Styles may be inline, because the interface library writes its colours and the drawings place things
 * by style.
 */
export default defineNitroPlugin((nitro) => {
  // What a page was made with is nobody’s business.
  nitro.hooks.hook('render:response', (response) => {
    delete response.headers?.['x-powered-by']
  })
  nitro.hooks.hook('render:html', (html, { event }) => {
    const nonce = randomBytes(16).toString('base64')
    for (const part of ['head', 'bodyPrepend', 'body', 'bodyAppend'] as const) {
      html[part] = html[part].map(text => text.replaceAll('<script', `<script nonce="${nonce}"`))
    }
    setResponseHeader(
      event,
      'Content-Security-Policy',
      [
        'default-src \'self\'',
        `script-src 'self' 'nonce-${nonce}'`,
        'style-src \'self\' \'unsafe-inline\'',
        'img-src \'self\' data: blob:',
        'font-src \'self\'',
        'connect-src \'self\'',
        'worker-src \'self\'',
        'object-src \'none\'',
        'base-uri \'none\'',
        'form-action \'self\'',
        'frame-ancestors \'none\'',
      ].join('; '),
    )
  })
})
