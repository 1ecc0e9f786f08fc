import { airReadingSchema } from '../../schemas'
import { readInstrument } from '../db/air'
import { readAir } from '../db/air-log'
import { readChecked } from '../http/body'
import { route } from '../http/route'
import { inWorkshop } from '../http/workshop'

/** A reading of the thermo-hygrometer: from now on the air of the workshop. Answers the air of the last weeks. */
export default route('POST /api/air', async (event) => {
  const { celsius, humidity } = await readChecked(event, airReadingSchema)
  return inWorkshop(event, async (knex) => {
    await readInstrument(knex, { at: new Date().toISOString(), celsius, humidity })
    return readAir(knex)
  })
})
