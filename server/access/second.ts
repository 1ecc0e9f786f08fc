import { createCipheriv, createDecipheriv, hkdfSync, randomBytes } from 'node:crypto'
import { Secret, TOTP } from 'otpauth'

/** RFC 6238 as every app that shows such figures does it: SHA-1, six figures, half a minute; a secret of 160 bits as RFC 4226 wants it. */
const FORM = { issuer: 'Oxlip', algorithm: 'SHA1', digits: 6, period: 30 } as const
/** Figures of so many steps before and after are good too: clocks differ. */
const WINDOW = 1

/** A secret that two sides make figures from, in base 32. */
export const newSecond = (): string => new Secret({ size: 20 }).base32

/** The address by which an app that shows figures takes a secret in. */
export const secondLink = (secret: string, name: string): string =>
  new TOTP({ ...FORM, label: name, secret: Secret.fromBase32(secret) }).toString()

/**
 * The number of the half minute whose figures these are; undefined where they are none that is good at a moment (ms), or not later than
 * the last that was used: each lets in once.
 */
export function stepOf(figures: string, secret: string, at: number, used: number): number | undefined {
  const ahead = new TOTP({ ...FORM, secret: Secret.fromBase32(secret) })
    .validate({ token: figures.replace(/\s/g, ''), timestamp: at, window: WINDOW })
  const step = ahead === null ? undefined : Math.floor(at / (FORM.period * 1000)) + ahead
  return step !== undefined && step > used ? step : undefined
}

const keyOf = (seal: string): Buffer => Buffer.from(hkdfSync('sha256', seal, '', 'oxlip second step', 32))
const [NONCE, TAG] = [12, 16]

/** A secret as it is kept: closed with the installation’s seal (AES-256-GCM), so that a table that is read alone tells it to nobody. */
export function closed(secret: string, seal: string): string {
  const nonce = randomBytes(NONCE)
  const cipher = createCipheriv('aes-256-gcm', keyOf(seal), nonce)
  return Buffer.concat([nonce, cipher.update(secret, 'utf8'), cipher.final(), cipher.getAuthTag()]).toString('base64')
}

/** The secret again. @throws Error where it was closed with another seal, or changed since */
export function reopened(kept: string, seal: string): string {
  const all = Buffer.from(kept, 'base64')
  const decipher = createDecipheriv('aes-256-gcm', keyOf(seal), all.subarray(0, NONCE)).setAuthTag(all.subarray(-TAG))
  return decipher.update(all.subarray(NONCE, -TAG), undefined, 'utf8') + decipher.final('utf8')
}
