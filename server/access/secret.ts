import { createHash, createHmac, randomBytes, randomInt, scrypt, timingSafeEqual } from 'node:crypto'
import { turns } from '../turns'

/**
 * scrypt as OWASP's Password Storage Cheat Sheet gives it for 32 MiB (N = 2^15, r = 8, p = 3): thirty pupils who sign in at once must not
 * take gigabytes.
 */
const COST = { N: 2 ** 15, r: 8, p: 3, maxmem: 64 * 1024 * 1024 }
const KEY = 32

/** So many passwords are worked on at once: the others wait, so that signing in takes neither all memory nor all hands. */
const inTurn = turns(2)

const derived = (secret: string, salt: Buffer): Promise<Buffer> => inTurn(() => new Promise((resolve, reject) => {
  scrypt(secret.normalize('NFKC'), salt, KEY, COST, (error, key) => (error ? reject(error) : resolve(key)))
}))

/** A password or PIN as it is kept: nobody reads it out of that. */
export async function keptSecret(secret: string): Promise<string> {
  const salt = randomBytes(16)
  return `scrypt$${salt.toString('base64')}$${(await derived(secret, salt)).toString('base64')}`
}

/** What a wrong name is compared with, so that it takes as long as a wrong password. */
const NOBODYS = `scrypt$${Buffer.alloc(16).toString('base64')}$${Buffer.alloc(KEY).toString('base64')}`

/** Whether a password or PIN is the one that is kept; where none is kept it is wrong, and takes as long. */
export async function isSecret(secret: string, kept: string | null | undefined): Promise<boolean> {
  const [, salt = '', key = ''] = (kept ?? NOBODYS).split('$')
  const is = timingSafeEqual(await derived(secret, Buffer.from(salt, 'base64')), Buffer.from(key, 'base64'))
  return is && Boolean(kept)
}

/** A secret that nobody guesses, for a cookie. */
export const newToken = (): string => randomBytes(32).toString('base64url')
/** What is kept of a token or a code: who reads it cannot come in with it. */
export const sealOf = (token: string): string => createHash('sha256').update(token).digest('hex')

const signed = (token: string, seal: string): string => createHmac('sha256', seal).update(token).digest('base64url')
/** A token as it stands in the cookie, sealed by the installation. */
export const sealed = (token: string, seal: string): string => `${token}.${signed(token, seal)}`
/** The token of a cookie; undefined for one that this installation has not sealed. */
export function opened(cookie: string, seal: string): string | undefined {
  const [token = '', sign = ''] = cookie.split('.')
  const [said, is] = [Buffer.from(sign), Buffer.from(signed(token, seal))]
  return said.length === is.length && timingSafeEqual(said, is) ? token : undefined
}

/** Letters and figures of a code: none that is read as another. */
const SIGNS = '23456789ABCDEFGHJKLMNPQRSTUVWXYZ'
const LENGTH = 8
/** A code for one device: eight of 32 signs, 40 bits, in two halves. */
export function newCode(): string {
  const signs = Array.from({ length: LENGTH }, () => SIGNS[randomInt(SIGNS.length)])
  return `${signs.slice(0, 4).join('')}-${signs.slice(4).join('')}`
}
/** A code as it is compared, however it was typed. */
export const plainCode = (typed: string): string => typed.toUpperCase().replace(/[^A-Z0-9]/g, '')
