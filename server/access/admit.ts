import type { H3Event } from 'h3'
import type { RawRouteName, RouteName } from '../../contract'
import { DoorError, NotForYouError } from '../faults'
import { workshopOf } from '../http/workshop'
import { ALLOWED, NEEDS } from './needs'
import { heed } from './pace'
import { roleIn, whoIs } from './who'

/**
 * Lets a request in at a route, or not.
 * @throws DoorError for a stranger, NotForYouError for somebody who may not, GoneError for a workshop that they do not belong to
 */
export async function admit(event: H3Event, route: RouteName | RawRouteName): Promise<void> {
  const need = NEEDS[route]
  const who = await whoIs(event)
  heed(event, who)
  if (need === 'nothing') return
  if (!who) throw new DoorError()
  if (need === 'somebody') return
  if (need === 'installation') {
    if (!who.keeper) throw new NotForYouError('This is for whoever looks after the installation.')
    return
  }
  const role = roleIn(who, await workshopOf(event))
  if (!role || !ALLOWED[need].includes(role)) throw new NotForYouError(SAYS[need])
}

const SAYS: Readonly<Record<keyof typeof ALLOWED, string>> = {
  look: 'You may not look at this here.',
  work: 'You may look here, not enter anything. Ask an owner of this workshop.',
  shelf: 'The shelf is changed by makers and owners. Ask one of them.',
  money: 'Money is seen by makers and owners.',
  all: 'This is for the owners of this workshop.',
}
