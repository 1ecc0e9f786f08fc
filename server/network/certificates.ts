import { randomBytes, X509Certificate } from 'node:crypto'
import { chmod, mkdir, readFile, rename, rm, stat, writeFile } from 'node:fs/promises'
import { isIP } from 'node:net'
import { join } from 'node:path'
import { openssl } from './openssl'

/** An authority is good for ten years; a server's certificate for 397 days, the most that browsers take, and is made anew before that. */
const [AUTHORITY_DAYS, SERVER_DAYS, ANEW_DAYS] = [3652, 397, 30]
const DAY = 86_400_000

/**
 * What the authority may speak for, and nothing else: names ending in .local, localhost, loopback and the private ranges (RFC 1918, 3927,
 * 4193, 4291). A device that trusts it trusts it for nothing on the internet.
 */
const PERMITTED = [
  'DNS:local', 'DNS:localhost', 'IP:127.0.0.0/255.0.0.0', 'IP:10.0.0.0/255.0.0.0', 'IP:172.16.0.0/255.240.0.0',
  'IP:192.168.0.0/255.255.0.0', 'IP:169.254.0.0/255.255.0.0', 'IP:::1/ffff:ffff:ffff:ffff:ffff:ffff:ffff:ffff',
  'IP:fc00::/fe00::', 'IP:fe80::/ffc0::',
].map(one => `permitted;${one}`).join(',')

/** Keys and certificates as PEM. */
export interface Certificates {
  /** The server's key. */
  key: string
  /** The server's certificate, the authority's after it. */
  cert: string
  /** The authority's certificate alone, as devices take it in. */
  authority: string
  /** The authority's fingerprint, SHA-256 in pairs. */
  fingerprint: string
}

const there = (file: string): Promise<boolean> => stat(file).then(() => true, () => false)

/** A file as it is made elsewhere first and then put in its place, so that none is half there. */
async function place(folder: string, names: readonly string[]): Promise<void> {
  for (const name of names) {
    await chmod(join(folder, `new-${name}`), 0o600)
    await rename(join(folder, `new-${name}`), join(folder, name))
  }
}

/** The authority of this workshop, made where there is none; its key is read by nobody but whoever runs Oxlip. */
async function makeAuthority(folder: string): Promise<void> {
  await mkdir(folder, { recursive: true, mode: 0o700 })
  if (await there(join(folder, 'authority.pem'))) return
  await writeFile(join(folder, 'authority.cnf'), `[req]
distinguished_name = name
x509_extensions = authority
prompt = no
[name]
CN = Oxlip workshop ${randomBytes(3).toString('hex')}
[authority]
basicConstraints = critical,CA:TRUE,pathlen:0
keyUsage = critical,keyCertSign,cRLSign
subjectKeyIdentifier = hash
nameConstraints = critical,${PERMITTED}
`)
  await openssl(folder, 'ecparam', '-name', 'prime256v1', '-genkey', '-noout', '-out', 'new-authority.key')
  await openssl(folder, 'req', '-x509', '-new', '-sha256', '-key', 'new-authority.key', '-days', String(AUTHORITY_DAYS),
    '-config', 'authority.cnf', '-out', 'new-authority.pem')
  await place(folder, ['authority.key', 'authority.pem'])
}

const named = (name: string): string => (isIP(name) ? `IP:${name}` : `DNS:${name}`)

/** Names in a certificate as they are compared: addresses in their own form. */
const namesIn = (cert: X509Certificate): string[] =>
  (cert.subjectAltName ?? '').split(', ').map(one => one.replace(/^(DNS|IP Address):/, '').toLowerCase())

/** An IPv6 address as it is compared with one of another spelling. */
const spelled = (name: string): string => (isIP(name) === 6 ? new URL(`http://[${name}]`).hostname.slice(1, -1) : name.toLowerCase())

/** Whether a certificate has to be made anew: it ends soon, names something else, or is not of this authority. */
function isStale(pem: string, authority: X509Certificate, names: readonly string[], now: Date): boolean {
  try {
    const cert = new X509Certificate(pem)
    const has = namesIn(cert).map(spelled).sort()
    const ends = Date.parse(cert.validTo) - now.getTime() < ANEW_DAYS * DAY
    return ends || !cert.verify(authority.publicKey) || has.join() !== names.map(spelled).sort().join()
  } catch {
    return true
  }
}

async function makeServer(folder: string, names: readonly string[]): Promise<void> {
  await writeFile(join(folder, 'server.cnf'), `basicConstraints = critical,CA:FALSE
keyUsage = critical,digitalSignature
extendedKeyUsage = serverAuth
authorityKeyIdentifier = keyid
subjectAltName = ${names.map(named).join(',')}
`)
  await openssl(folder, 'ecparam', '-name', 'prime256v1', '-genkey', '-noout', '-out', 'new-server.key')
  await openssl(folder, 'req', '-new', '-sha256', '-key', 'new-server.key', '-subj', '/CN=Oxlip', '-out', 'server.csr')
  await openssl(folder, 'x509', '-req', '-sha256', '-in', 'server.csr', '-CA', 'authority.pem', '-CAkey', 'authority.key',
    '-set_serial', `0x0${randomBytes(15).toString('hex')}`, '-days', String(SERVER_DAYS), '-extfile', 'server.cnf',
    '-out', 'new-server.pem')
  await place(folder, ['server.key', 'server.pem'])
  await rm(join(folder, 'server.csr'), { force: true })
}

/**
 * What to serve with under these names: the authority is made the first time, the server's certificate whenever it does not name just
 * these or ends within a month. `changed` tells whether it was made now.
 */
export async function certificates(
  folder: string, names: readonly string[], now = new Date(),
): Promise<Certificates & { changed: boolean }> {
  await makeAuthority(folder)
  const authority = await readFile(join(folder, 'authority.pem'), 'utf8')
  const known = new X509Certificate(authority)
  const before = await readFile(join(folder, 'server.pem'), 'utf8').catch(() => '')
  const changed = isStale(before, known, names, now)
  if (changed) await makeServer(folder, names)
  const [key = '', cert = ''] = await Promise.all(['server.key', 'server.pem'].map(name => readFile(join(folder, name), 'utf8')))
  return { key, cert: `${cert}${authority}`, authority, fingerprint: known.fingerprint256, changed }
}
