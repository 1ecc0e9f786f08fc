import { appendBench } from './append'
import { barrelBench } from './barrel'
import { browserBench } from './browser'
import { classBench } from './class'
import { crowdBench } from './crowd'
import { eveningBench } from './evening'
import { findingsBench } from './findings'
import { growthBench } from './growth'
import { learnBench } from './learn'
import { orderBench } from './order'
import { planBench } from './plan'
import { ratioBench } from './ratio'
import { replayBench } from './replay'
import { screensBench } from './screens'
import { togetherBench } from './together'
import { head } from './measure'

/**
 * How long the heart of Oxlip takes, as distributions. `--core` leaves the browser and the server out, `--append` runs the server under
 * load alone, `--together` one operation on 30 pens, `--screens` which pen comes next, the work screen with many pens, and two screens on
 * one pen, `--growth` every route with up to 100,000 pens, `--learn` what is learnt of simulated turners and what random plans have that
 * nobody should plan, `--evening` plans of ever more pens over ever more evenings, `--findings` questions asked of
 * 100,000 pens and plans played ten thousand times, `--class` thirty screens over the network. Never a test: machines differ.
 */
if (process.argv.includes('--learn')) {
  learnBench()
  process.exit()
}
head('ms')
if (process.argv.includes('--append')) {
  await ratioBench()
  await appendBench()
} else if (process.argv.includes('--growth')) {
  await growthBench()
} else if (process.argv.includes('--screens')) {
  orderBench()
  await crowdBench()
  await screensBench()
} else if (process.argv.includes('--together')) {
  await togetherBench()
} else if (process.argv.includes('--findings')) {
  await findingsBench()
} else if (process.argv.includes('--class')) {
  await classBench()
} else if (process.argv.includes('--evening')) {
  await eveningBench()
} else {
  planBench()
  barrelBench()
  replayBench()
  orderBench()
  if (!process.argv.includes('--core')) {
    await browserBench()
    await screensBench()
    await appendBench()
  }
}
