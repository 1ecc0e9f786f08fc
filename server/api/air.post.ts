import { airReadingSchema } from '../../schemas'
import { readInstrument } from '../db/air'
import { readAir } from '../db/air-log'
import { db } from '../db/connection'
import { readChecked } from '../http/body'
import { route } from '../http/route'

/** A reading of the thermo-hygrometer: from now on the air of the workshop. Answers the air of the last weeks. */
export default route('POST /api/air', async (event) => {
  const { celsius, humidity } = await readChecked(event, airReadingSchema)
  await readInstrument(db(), { at: new Date().toISOString(), celsius, humidity })
  return readAir(db())
})
