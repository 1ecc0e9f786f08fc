import { resolve } from 'node:path'
import { connect } from '../server/db/connection'
import { migrate } from '../server/db/migrate'
import { listWorkshops } from '../server/db/workshops'
import { addPerson } from '../server/db/people'
import { newPairing } from '../server/db/sessions'
import { borrowDatabase } from './lib/database'
import { main, Plain, say } from './lib/say'

const FOLDER = resolve(process.env.OXLIP_FOLDER ?? '.oxlip')

interface Known { id: string, name: string }

/**
 * A way back in, on the machine itself: `./way-in` prints a code that lets one browser in as the owner who looks after the installation
 * (one is made where there is none); `./way-in --open` has the machine ask nobody any more.
 */
await main(async () => {
  const { url, giveBack } = await borrowDatabase(FOLDER)
  const owner = connect(url)
  try {
    await migrate(owner)
    if (process.argv.includes('--open')) {
      await owner('installation').update({ locked: false })
      return say('Oxlip asks nobody on this machine any more.')
    }
    const known: Known | undefined = await owner('people').where({ keeper: true, gone: false }).first('id', 'name')
    const id = known?.id ?? await firstOwner(owner)
    const { code, ends } = await newPairing(owner, id)
    const until = new Date(ends).toLocaleTimeString('en-GB')
    say(`For ${known?.name ?? 'Owner'}:  ${code}\nGood once, until ${until}. Enter it at Oxlip’s door.`)
  } finally {
    await owner.destroy()
    await giveBack()
  }
})

/** Somebody who owns the first workshop. @throws Plain where there is none */
async function firstOwner(owner: ReturnType<typeof connect>): Promise<string> {
  const { workshops } = await listWorkshops(owner)
  const own = workshops.find(one => one.kind === 'own')
  if (!own) throw new Plain('There is no workshop here yet. Start Oxlip first:  ./start')
  return addPerson(owner, own.id, { name: 'Owner', mark: 'O', colour: '#3d6f8e', role: 'owner', secret: null })
}
