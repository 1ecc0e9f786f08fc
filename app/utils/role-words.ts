import type { Role } from '#schemas'

/** What somebody may do, as a label. */
export const ROLE_WORDS: Readonly<Record<Role, string>> = { owner: 'owner', maker: 'maker', pupil: 'pupil', looker: 'looks only' }
