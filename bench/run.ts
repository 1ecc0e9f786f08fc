import { appendBench } from './append'
import { barrelBench } from './barrel'
import { browserBench } from './browser'
import { growthBench } from './growth'
import { planBench } from './plan'
import { ratioBench } from './ratio'
import { replayBench } from './replay'
import { screensBench } from './screens'
import { head } from './measure'

/**
 * How long the heart of Oxlip takes, as distributions. `--core` leaves the browser and the server out, `--append` runs the server under
 * load alone, `--screens` two screens on one pen, `--growth` every route with up to 100,000 pens. Never a test: machines differ.
 */
head('ms')
if (process.argv.includes('--append')) {
  await ratioBench()
  await appendBench()
} else if (process.argv.includes('--growth')) await growthBench()
else if (process.argv.includes('--screens')) await screensBench()
else {
  planBench()
  barrelBench()
  replayBench()
  if (!process.argv.includes('--core')) {
    await browserBench()
    await screensBench()
    await appendBench()
  }
}
