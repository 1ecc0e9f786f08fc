import type { PenPage, WorkshopList } from '../contract'
import { makePlan } from '../core/plan'
import { handOf, playable, playing, sharesOf } from '../core/simulate'
import { nth } from '../core/sure'
import { buildIfNeeded } from '../scripts/lib/build'
import { say } from '../scripts/lib/say'
import { startStand } from '../scripts/lib/stand'
import { connect } from '../server/db/connection'
import { inputs, methodOf } from '../tests/support/inputs'
import { measure, show } from './measure'

/** Pens that are over; OXLIP_BENCH_PENS names another number. */
const PENS = Number(process.env.OXLIP_BENCH_PENS ?? 100_000)

/** Pens that tell something, of mixed ways of working: made by the database alone, without their logs, which no question reads. */
const MAKE = `
  with copied as (select gen_random_uuid() as id, place from generate_series(1, ?) as place), made as (
    insert into pens (id, mark, name, reason, due, fitting, material, method, tool, film, plan_version, version, created_at, sizing)
    select copied.id, 'P' || (place % 900), 'Pear ' || place, null, null, fitting, material, method, tool, film, plan_version, version,
      created_at - place * interval '1 hour', sizing from pens, copied where pens.id = ? returning id)
  insert into pen_told
  select told.workshop_id, copied.id, ended - place * interval '1 hour', coated - place * interval '1 hour', due,
    'finish ' || place % 9, 'wood ' || place % 40, 'class ' || place % 7, 'fitting ' || place % 12, 'P' || place % 4, 'P' || place % 5,
    case place % 3 when 0 then 'towel' else 'foam' end, 'coat ' || place % 4, 'coat ' || place % 3, (place % 14)::text, 'air ' || place % 3,
    'warmth ' || place % 3, 'tool ' || place % 4, 'shape ' || place % 5,
    (case place % 5 when 0 then array['bleed'] else '{}' end) || (case place % 7 when 0 then array['chip'] else '{}' end),
    0, 0, false, true, jsonb_build_object('minutes', 60 + place % 40)
  from pen_told as told, copied where told.pen_id = ?`

const ROUTES = [
  ['how often, by what', '/api/findings/answer?of=bleed&by=last%20grit'],
  ['how often, among some, by the hour', '/api/findings/answer?of=chip&by=hour&among=applicator:foam&zone=Europe/London'],
  ['how much, by what', '/api/findings/answer?of=minutes&by=wood'],
  ['the pens behind a number', '/api/findings/pens?of=bleed&by=last%20grit&is=P1&so=yes'],
  ['the place, kept', '/api/findings'],
] as const

/** How long questions take with very many pens, from the outside; and how long plans are played. */
export async function findingsBench(): Promise<void> {
  playBench()
  await buildIfNeeded()
  const stand = await startStand()
  const { opens } = (await (await fetch(`${stand.address}/api/workshops`)).json()) as WorkshopList
  const knex = connect(stand.databaseUrl, { walled: true, workshop: opens })
  const owner = connect(stand.databaseUrl)
  try {
    const { pens } = (await (await fetch(`${stand.address}/api/pens?stage=finished`)).json()) as PenPage
    const from = nth(pens, 0).pen.id
    await knex.raw(MAKE, [PENS, from, from])
    await owner.raw('analyze')
    say(`\n${PENS} pens that are over`)
    const ask = async (path: string) => {
      const answer = await fetch(`${stand.address}${path}${path.includes('?') ? '&' : '?'}workshop=${opens}`)
      if (!answer.ok) throw new Error(`${path}: ${await answer.text()}`)
      await answer.arrayBuffer()
    }
    const times = async (times: number, before: () => Promise<unknown>, path: string) => {
      const all: number[] = []
      for (let time = 0; time < times; time++) {
        await before()
        const began = performance.now()
        await ask(path)
        all.push(performance.now() - began)
      }
      return all
    }
    const nothing = async () => undefined
    show('the place, worked out anew', await times(5, () => knex('lessons').where({ kind: 'told' }).delete(), '/api/findings'))
    const older = () => owner('lessons').where({ kind: 'told' }).update({ learnt_at: owner.raw('learnt_at - ?', [PENS]) })
    show('the place, many pens later', await times(5, older, '/api/findings'))
    for (const [name, path] of ROUTES) show(name, await times(20, nothing, path))
    show('pens like one', await times(20, nothing, `/api/pens/${from}/alike`))
  } finally {
    await Promise.all([owner.destroy(), knex.destroy()])
    await stand.end()
  }
}

/** One plan played, here and not in a browser’s worker. */
function playBench(): void {
  const plan = makePlan(inputs('damson', 'twist-7', { method: methodOf('ca-thin-staged') }))
  const hand = handOf(plan.inputs.material)
  const play = (runs: number) => {
    for (const told of playing(playable(plan, hand), runs, { every: runs })) if (told.runs === runs) return
  }
  measure('made ready and played 200 times', () => play(200), 20)
  measure('played 10,000 times', () => play(10_000), 5)
  const one = playable(plan, hand)
  measure('what matters, 500 pairs of runs', () => sharesOf(x => one.play(x).film, one.unknowns, { runs: 500 }), 3)
}
