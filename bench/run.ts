import { barrelBench } from './barrel'
import { browserBench } from './browser'
import { planBench } from './plan'
import { head } from './measure'

/** How long the heart of Oxlip takes, as distributions. `--core` leaves the browser out. Never a test: machines differ. */
head('ms')
planBench()
barrelBench()
if (!process.argv.includes('--core')) await browserBench()
