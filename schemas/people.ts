import { boolean, string, ValidationError, type InferType } from 'yup'
import { exact, judged, line, version, word } from './common'

/**
 * What somebody may do in a workshop. An owner: everything. A maker: their own pens, and the shelf they share. A pupil: their own pens. A
 * looker: look.
 */
export const roles = ['owner', 'maker', 'pupil', 'looker'] as const
/** One of them. */
export type Role = (typeof roles)[number]

/** A password of an owner has at least so many signs; any other secret, a PIN too, so many. */
const [OWNERS, OTHERS, LONGEST] = [12, 6, 200]
const secret = () => string().max(LONGEST, `Should have at most ${LONGEST} signs.`)

/** Six figures of a second step, as they are typed. */
const figures = () => string().max(12, 'Should be six figures.')

/** A code as it is typed: its case and what parts it do not matter. */
export const codeSchema = exact({
  code: string().max(40, 'Should be eight letters and figures.').required(),
  /** What the device is called. */
  device: line(60).trim().min(1).required(),
})
/** The same as it comes in. */
export type CodeInput = InferType<typeof codeSchema>

/** Somebody signs in. */
export const passwordSchema = exact({
  name: line(60).required(),
  password: secret().required(),
  /** The figures of a second step, where one is asked for. */
  second: figures(),
  device: line(60).trim().min(1).required(),
})
/** The same as it comes in. */
export type PasswordInput = InferType<typeof passwordSchema>

const person = {
  name: line(60).trim().min(1).required(),
  mark: line(3).trim().min(1).required(),
  colour: string().matches(/^#[0-9a-f]{6}$/, 'Choose a colour.').required(),
  role: word(...roles).required(),
}
/** Whether a password or a PIN will do for a role; of one that is too short, what is wrong. */
export function longEnough(role: Role, said: string | null | undefined): true | ValidationError {
  const least = role === 'owner' ? OWNERS : OTHERS
  if (!said || said.length >= least) return true
  const says = role === 'owner' ? `An owner’s password should have at least ${OWNERS} signs.` : `Should have at least ${OTHERS} signs.`
  return new ValidationError(says, undefined, 'secret')
}

/** Somebody who is to belong to a workshop. */
export const newPersonSchema = judged(exact({ ...person, secret: secret().nullable() }), ({ role, secret: said }) => longEnough(role, said))
/** The same as it comes in. */
export type NewPerson = InferType<typeof newPersonSchema>

/** The same changed; a role of null: they belong to this workshop no more. */
export const personChangeSchema = exact({ version: version().required(), ...person, role: word(...roles).nullable().defined() })
/** The same as it comes in. */
export type PersonChange = Omit<InferType<typeof personChangeSchema>, 'role'> & { role: Role | null }

/** A new password or PIN; null takes it away. Whoever changes their own says the one they have. */
export const secretChangeSchema = exact({ secret: secret().nullable().defined(), current: secret() })
/** The same as it comes in. */
export type SecretChange = InferType<typeof secretChangeSchema>

/** A second step is set up, by the password one has. */
export const secondSchema = exact({ current: secret().required() })
/** The same as it comes in. */
export type SecondInput = InferType<typeof secondSchema>

/** The first figures that the other device shows: from then on they are asked for. */
export const figuresSchema = exact({ second: figures().required() })
/** The same as it comes in. */
export type FiguresInput = InferType<typeof figuresSchema>

/** Whether the machine itself asks who it is. */
export const lockSchema = exact({ locked: boolean().required() })
