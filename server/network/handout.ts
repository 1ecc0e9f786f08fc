import type { IncomingMessage, ServerResponse } from 'node:http'

/** What is handed out plainly. */
export interface HandedOut {
  /** The authority's certificate, PEM. */
  authority: string
  /** Its fingerprint, SHA-256 in pairs. */
  fingerprint: string
  /** The port that is served securely. */
  port: number
}

const CERTIFICATE = '/oxlip-authority.crt'
const HEADERS = {
  'X-Content-Type-Options': 'nosniff',
  'X-Frame-Options': 'DENY',
  'Referrer-Policy': 'no-referrer',
  'Cache-Control': 'no-store',
  'Content-Security-Policy':
    'default-src \'none\'; style-src \'unsafe-inline\'; frame-ancestors \'none\'; base-uri \'none\'; form-action \'none\'',
}

/** A host name as a browser may be sent on to; undefined for what is none. */
const hostOf = (host: string | undefined): string | undefined => /^([a-z0-9.-]{1,253}|\[[0-9a-f:.]+\])(?::\d+)?$/i.exec(host ?? '')?.[1]

/**
 * Answers without a secure line: the certificate and how devices take it in, and for all else the way to the secure address. It knows of
 * no pen and takes no entry.
 */
export function handOut(request: Pick<IncomingMessage, 'method' | 'url' | 'headers'>, response: ServerResponse, out: HandedOut): void {
  const end = (status: number, headers: Record<string, string>, body = '') => {
    response.writeHead(status, { ...HEADERS, ...headers })
    response.end(request.method === 'HEAD' ? '' : body)
  }
  const host = hostOf(request.headers.host)
  if (!host) return end(400, { 'Content-Type': 'text/plain; charset=utf-8' }, 'This names no host.\n')
  if (request.method !== 'GET' && request.method !== 'HEAD') return end(405, { Allow: 'GET, HEAD' })
  const path = (request.url ?? '/').split('?')[0]
  const secure = `https://${host}:${out.port}`
  if (path === CERTIFICATE) {
    return end(200, {
      'Content-Type': 'application/x-x509-ca-cert', 'Content-Disposition': 'attachment; filename="oxlip-authority.crt"',
    }, out.authority)
  }
  if (path === '/') return end(200, { 'Content-Type': 'text/html; charset=utf-8' }, page(secure, out.fingerprint))
  return end(308, { Location: `${secure}${request.url?.startsWith('/') && !request.url.startsWith('//') ? request.url : '/'}` })
}

/** The fingerprint in four lines, as it is compared by eye. */
const inLines = (fingerprint: string): string =>
  fingerprint.split(':').map((pair, index) => `${pair}${index % 8 === 7 ? '<br>' : ' '}`).join('').replace(/(<br>| )$/, '')

const page = (secure: string, fingerprint: string): string => `<!doctype html>
<html lang="en"><head><meta charset="utf-8"><meta name="viewport" content="width=device-width, initial-scale=1">
<title>Oxlip: once on each device</title>
<style>
body { max-width: 40rem; margin: 0 auto; padding: 1.2rem; background: #f4f1e8; color: #1c2b24; font: 1.1rem/1.5 system-ui, sans-serif; }
a.key { display: inline-block; margin: .3rem 0; padding: .7rem 1.1rem; border: 2px solid #1c2b24; border-radius: 8px; color: inherit; }
code { font: 1rem/1.6 ui-monospace, monospace; } li { margin: .4rem 0; } summary { cursor: pointer; padding: .3rem 0; font-weight: 600; }
</style></head><body>
<h1>Once on each device</h1>
<p>Oxlip speaks to tablets and phones over a line that nobody listens in on. For that, a device has to know this workshop’s certificate.
It is good for this workshop’s own network and for nothing on the internet.</p>
<ol>
<li><a class="key" href="${CERTIFICATE}">Fetch the certificate</a></li>
<li>Take it in:
<details><summary>A phone or tablet that saves it as a file</summary><p>In its settings search for “CA certificate”, install it all the
same, and choose the file. It warns that the network may be watched: that is said of every certificate that does not come from the
internet.</p></details>
<details><summary>A phone or tablet that asks whether to allow a profile</summary><p>Allow it. In Settings, open the profile that was
loaded and install it; then General, About, Certificate Trust Settings, and switch it on there.</p></details>
<details><summary>A computer</summary><p>Open the file and add it to the trusted authorities: of the system, or of the browser where it has
its own list (settings, search for “certificates”, Authorities, Import).</p></details></li>
<li>Compare the fingerprint with the one on the owner’s screen (Workshop, People and devices). Where they differ, stop and take the
certificate out again.<br><code>${inLines(fingerprint)}</code></li>
<li><a class="key" href="${secure}/door">Open Oxlip</a></li>
</ol>
</body></html>
`
