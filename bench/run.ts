import { hrtime } from 'node:process'
import { bestLadders } from '../core/sanding'
import { grainSize } from '../core/abrasives'
import { makePlan, trace } from '../core/plan'
import { abrasives } from '../reference'
import { inputs } from '../tests/support/inputs'

/** Times a piece of core code again and again and prints how long it took as a distribution, in ms. Never a test: machines differ. */
function measure(name: string, run: () => unknown, times = 300): void {
  for (let warm = 0; warm < 30; warm++) run()
  const taken = Array.from({ length: times }, () => {
    const start = hrtime.bigint()
    run()
    return Number(hrtime.bigint() - start) / 1e6
  }).sort((a, b) => a - b)
  const at = (part: number) => taken[Math.min(times - 1, Math.floor(part * times))]!.toFixed(3).padStart(9)
  console.log(`${name.padEnd(44)} ${at(0.5)} ${at(0.9)} ${at(0.99)} ${at(1)}`)
}

console.log(`${'ms'.padEnd(44)} ${['median', '90 %', '99 %', 'most'].map(head => head.padStart(9)).join(' ')}`)
const damson = inputs('damson', 'twist-10')
measure('a plan from scratch', () => makePlan(damson))
const plan = makePlan(damson)
measure('all that follows from a plan', () => trace(plan))
const medium = { kind: 'wood', hardness: { label: 'hardness', value: 5000, unit: 'N', origin: 'default' } } as const
const rungs = abrasives.slice(0, 40).map(row => ({ id: row.id, pass: { origin: row.id, grain: grainSize(row.scale, row.mark), medium, speed: 40, pressure: 1 } }))
measure('five best ladders over 40 abrasives', () => bestLadders({ from: 60, target: 1.5, rungs, overhead: 25, greatestJump: 2 }, 5))
