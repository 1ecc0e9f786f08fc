import type { Role } from '../schemas'

/** Somebody as others see them. */
export interface PersonBrief {
  /** Their id. */
  id: string
  /** Their name. */
  name: string
  /** One to three letters that stand for them. */
  mark: string
  /** The colour of their mark, `#rrggbb`. */
  colour: string
}

/** Somebody of a workshop. */
export interface Person extends PersonBrief {
  /** What they may do here; null: not here any more, but in what was entered. */
  role: Role | null
  /** Whether they look after the whole installation: backups, workshops. */
  keeper: boolean
  /** Whether they can sign in by a password or a PIN. */
  hasSecret: boolean
  /** Whether figures are asked for beside it. */
  hasSecond: boolean
  /** Counts up with every change. */
  version: number
}

/** Who is asking, and from where. */
export interface Me {
  /** Who; null on the machine itself where nothing is asked. */
  person: PersonBrief | null
  /** Whether they look after the whole installation. */
  keeper: boolean
  /** By what they are in. */
  how: 'machine' | 'paired' | 'signed in'
  /** What they may do, by the workshop’s id. */
  roles: Record<string, Role>
}

/** The door: who is in already, or for how long the next try has to wait. */
export interface Door {
  /** Who is in; null: nobody. */
  me: Me | null
  /** Seconds until the next code or password is looked at. */
  wait: number
}

/** A device that somebody comes by. */
export interface Device {
  /** Its id. */
  id: string
  /** Whose. */
  person: string
  /** What it is called. */
  name: string
  /** How it came in. */
  how: 'paired' | 'signed in'
  /** When it came in, ISO 8601. */
  made: string
  /** When it was seen last, ISO 8601. */
  seen: string
  /** Whether it is the one that asks. */
  isThis: boolean
}

/** The network as this server listens there. */
export interface NetworkState {
  /** Where it is to be had, the machine’s name first where it is known on the network. */
  addresses: string[]
  /** Where the authority’s certificate is handed out, plainly. */
  plain: string[]
  /** The SHA-256 fingerprint of the authority’s certificate, in pairs. */
  fingerprint: string
}

/** Who may come in, by what, and who tried in vain. */
export interface Access {
  /** Devices of people of this workshop. */
  devices: Device[]
  /** Whether the machine itself asks who it is. */
  locked: boolean
  /** How it listens on the network; null: it does not. */
  network: NetworkState | null
  /** Tries in vain in the last week, by where they came from. */
  knocks: { address: string, times: number, last: string }[]
}

/** What a second step at the door is set up with. */
export interface SecondStep {
  /** What figures are made from, in base 32, to be typed into an app that shows them. */
  secret: string
  /** The same as an address that such an app reads as a picture. */
  link: string
}

/** A code that lets one device in. */
export interface Pairing {
  /** The code, as it is typed. */
  code: string
  /** Until when it is good, ISO 8601. */
  ends: string
  /** Addresses that lead to the door with the code in them. */
  links: string[]
}
