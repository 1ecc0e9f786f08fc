import { appendBench } from './append'
import { barrelBench } from './barrel'
import { browserBench } from './browser'
import { planBench } from './plan'
import { replayBench } from './replay'
import { head } from './measure'

/** How long the heart of Oxlip takes, as distributions. `--core` leaves the browser and the server out, `--append` runs the server under load alone. Never a test: machines differ. */
head('ms')
if (process.argv.includes('--append')) await appendBench()
else {
  planBench()
  barrelBench()
  replayBench()
  if (!process.argv.includes('--core')) {
    await browserBench()
    await appendBench()
  }
}
