import { X509Certificate } from 'node:crypto'
import { mkdtemp, readFile, rm, stat } from 'node:fs/promises'
import type { IncomingMessage, ServerResponse } from 'node:http'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { certificates } from './certificates'
import { handOut } from './handout'
import { allNames, isPrivate } from './names'
import { openssl } from './openssl'

let folder = ''
beforeEach(async () => {
  folder = await mkdtemp(join(tmpdir(), 'oxlip-network-'))
})
afterEach(() => rm(folder, { recursive: true, force: true }))
const NAMES = allNames(['192.168.1.20', 'fd00::20'])
const DAY = 86_400_000

it('the authority speaks for this network and nothing else; what it signs is good for the machine’s names', async () => {
  const { cert, authority, fingerprint, changed } = await certificates(folder, NAMES)
  expect(changed).toBe(true)
  const [own, known] = [new X509Certificate(cert), new X509Certificate(authority)]
  expect(known.ca).toBe(true)
  expect(own.verify(known.publicKey)).toBe(true)
  for (const name of ['localhost']) expect(own.checkHost(name)).toBe(name)
  for (const address of ['192.168.1.20', '127.0.0.1', 'fd00::20']) expect(own.checkIP(address)).toBe(address)
  expect(own.checkHost('pens.example')).toBeUndefined()
  expect(Math.round((Date.parse(own.validTo) - Date.now()) / DAY)).toBe(397)
  expect(fingerprint).toMatch(/^([0-9A-F]{2}:){31}[0-9A-F]{2}$/)
  expect((await stat(join(folder, 'authority.key'))).mode & 0o077).toBe(0)
  // openssl itself, as another that reads them, finds a server with this name sound and one of the internet not.
  expect(await openssl(folder, 'verify', '-purpose', 'sslserver', '-CAfile', 'authority.pem', 'server.pem')).toContain('OK')
  await certificates(folder, [...NAMES, 'pens.example'])
  await expect(openssl(folder, 'verify', '-CAfile', 'authority.pem', 'server.pem')).rejects.toThrow(/failed/)
})
it('the authority stays; a certificate is made anew when an address is another one, and a month before it ends', async () => {
  const first = await certificates(folder, NAMES)
  const same = await certificates(folder, [...NAMES].reverse())
  expect([same.changed, same.cert]).toEqual([false, first.cert])
  const moved = await certificates(folder, allNames(['192.168.1.77']))
  expect([moved.changed, moved.authority]).toEqual([true, first.authority])
  expect(new X509Certificate(moved.cert).checkIP('192.168.1.77')).toBe('192.168.1.77')
  const soon = await certificates(folder, allNames(['192.168.1.77']), new Date(Date.now() + 368 * DAY))
  expect(soon.changed).toBe(true)
  expect((await certificates(folder, allNames(['192.168.1.77']), new Date(Date.now() + 366 * DAY))).changed).toBe(false)
})
it('a damaged certificate is made anew', async () => {
  await certificates(folder, NAMES)
  await rm(join(folder, 'server.pem'))
  expect((await certificates(folder, NAMES)).changed).toBe(true)
  expect(await readFile(join(folder, 'server.pem'), 'utf8')).toContain('BEGIN CERTIFICATE')
})
it('private addresses are those that no machine on the internet has (RFC 1918, 3927, 4193, 4291)', () => {
  const own = ['10.1.2.3', '172.16.0.1', '172.31.255.1', '192.168.0.9', '169.254.3.4', '127.0.0.1', '::1', 'fd12::1', 'fe80::1']
  expect(own.filter(one => !isPrivate(one))).toEqual([])
  expect(['172.15.0.1', '172.32.0.1', '192.169.0.1', '11.0.0.1', '8.8.8.8', '2001:db8::1', 'f000::1'].filter(isPrivate)).toEqual([])
})

describe('what is handed out plainly', () => {
  const ask = (url: string, { method = 'GET', host = 'oxlip.local:8444' } = {}) => {
    let told = { status: 0, headers: {} as Record<string, string>, body: '' }
    const response = {
      writeHead: (status: number, headers: Record<string, string>) => (told = { ...told, status, headers }),
      end: (body = '') => (told = { ...told, body }),
    } as unknown as ServerResponse
    handOut({ url, method, headers: { host } } as IncomingMessage, response, { authority: 'PEM', fingerprint: 'AA:BB', port: 8443 })
    return told
  }
  it('is the certificate, the steps, and the way to the same place securely', () => {
    const certificate = ask('/oxlip-authority.crt')
    expect(certificate).toMatchObject({ status: 200, body: 'PEM', headers: { 'Content-Type': 'application/x-x509-ca-cert' } })
    expect(ask('/').body).toContain('https://oxlip.local:8443/door')
    expect(ask('/pens?x=1').headers.Location).toBe('https://oxlip.local:8443/pens?x=1')
    expect(ask('/', { host: '[fd00::20]:8444' }).body).toContain('https://[fd00::20]:8443/door')
  })
  it('sends nobody anywhere else, takes nothing, and prints nothing that was sent', () => {
    expect(ask('//evil.example').headers.Location).toBe('https://oxlip.local:8443/')
    expect(ask('/', { host: 'a"><script>' }).status).toBe(400)
    expect(ask('/', { host: '' }).status).toBe(400)
    expect(ask('/', { method: 'POST' }).status).toBe(405)
    expect(ask('/', { method: 'HEAD' }).body).toBe('')
  })
})
