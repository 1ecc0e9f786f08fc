import { must, nth } from '#core/sure'
import { micrometres, formatSpan } from '#core/format'
import { AbrasiveError, abrasiveName, grainSize, typedLadder } from '#core/abrasives'
import {
  gritAtWork,
  ladderReasons,
  mayLeave,
  proposals,
  reviewOf,
  usableBare,
  type LadderReasons,
  type Plan,
  type PlanTrace,
  type Proposal,
  type Sizing,
} from '#core/plan'
import type { ShelfAbrasive } from '#core/shelf'
import { abrasives } from '#reference'

/** What a ladder panel is given: the plan, what follows from it, and for which pen. */
export interface LadderProps {
  /** The plan with what is being changed. */
  plan: Plan
  /** What follows from it. */
  traced: PlanTrace
  /** The pen, by its id. */
  pen: string
}

/** Jumps from grit to grit. */
export const JUMPS = [
  { label: 'at most 1.5 : 1', value: '1.5' },
  { label: 'at most 2 : 1', value: '2' },
  { label: 'at most 3 : 1', value: '3' },
  { label: 'as large as it pays', value: '0' },
]
/** The two schools of speed. */
export const SPEEDS = [
  { label: 'slow, 1000 rev/min', value: '1000' },
  { label: 'fast, 2500 rev/min', value: '2500' },
]

const labelOf = (one: ShelfAbrasive) =>
  `${abrasiveName(one)}, ${micrometres(grainSize(one.scale, one.mark))} µm${one.dry ? '' : ', wet only'}`

/** The bare blank’s ladder of a plan: its rows with what each is there for, what else there is, and every change of it. */
export function useLadder(props: LadderProps, sizing: Ref<Sizing | undefined>) {
  const workshop = useWorkshop()
  const { wishes, change } = useWishes(() => props.plan, sizing)
  const steps = computed(() => props.plan.steps.flatMap(step => (step.kind === 'sand' ? [step] : [])))
  const ids = computed(() => steps.value.map(step => step.abrasive.id))
  const review = computed(() => reviewOf(props.plan, props.traced))
  /**
   * What the search follows from; a shape or an end of one's own changes nothing in it, and the search is not made again for every pixel
   * of a drag.
   */
  const searched = computed(() => {
    const { shapes: _s, ends: _e, ...asked } = wishes.value
    const { shelf, material, fitting, own } = props.plan.inputs
    return JSON.stringify([asked, shelf.abrasives, material, fitting, own])
  })
  const reasons = shallowRef<LadderReasons>()
  const offers = shallowRef<Proposal[]>([])
  watch(
    searched,
    () => {
      reasons.value = wishes.value.ladder ? undefined : ladderReasons(props.plan.inputs, abrasives)
      offers.value = proposals({ ...props.plan.inputs, wishes: { ...wishes.value, ladder: undefined } })
    },
    { immediate: true },
  )
  const byId = computed(() => new Map(props.plan.inputs.shelf.abrasives.map(one => [one.id, one])))
  const nameOf = (id: string) => abrasiveName(byId.value.get(id) ?? abrasives.find(one => one.id === id) ?? { scale: 'micron', mark: 0 })
  const names = (list: readonly string[]) => list.map(nameOf).join(' · ')

  const rows = computed(() =>
    steps.value.map((step, index) => {
      const seen = nth(review.value.steps, index)
      const costs = reasons.value?.steps.find(one => one.id === step.abrasive.id)?.costs
      return {
        id: step.abrasive.id,
        name: abrasiveName(step.abrasive),
        grain: grainSize(step.abrasive.scale, step.abrasive.mark),
        seen,
        worn: step.abrasive.worn ?? 0,
        work: gritAtWork(props.plan, props.traced, step),
        findings: review.value.findings.filter(one => one.step === index),
        figure: props.traced.steps.find(one => one.step.id === step.id)?.handsOn,
        kept: wishes.value.insist?.includes(step.abrasive.id) ?? false,
        why:
          costs === undefined
            ? ''
            : costs === Infinity
              ? 'without it no ladder gets there'
              : costs < 1
                ? 'as well without it'
                : `without it ${formatSpan(costs)} longer`,
      }
    }),
  )
  const whole = computed(() => review.value.findings.filter(one => one.step === undefined))
  const missing = computed(() => [...(reasons.value?.missing ?? [])].sort((a, b) => a.costs - b.costs).slice(0, 8))

  function move(from: number, to: number) {
    if (to < 0 || to >= ids.value.length) return
    const order = [...ids.value]
    order.splice(to, 0, ...order.splice(from, 1))
    change({ ladder: order })
  }
  const without = (id: string) =>
    change({ ladder: ids.value.filter(one => one !== id), insist: (wishes.value.insist ?? []).filter(one => one !== id) })
  /** A grit that is refused is left out of every ladder that is worked out for this pen, until it is allowed again. */
  const refuse = (id: string) =>
    change({ refuse: [...(wishes.value.refuse ?? []), id], insist: (wishes.value.insist ?? []).filter(one => one !== id) })
  const allow = (id: string) => change({ refuse: (wishes.value.refuse ?? []).filter(one => one !== id) })
  function keepGrit(id: string) {
    const now = wishes.value.insist ?? []
    change({ insist: now.includes(id) ? now.filter(one => one !== id) : [...now, id] })
  }
  const addable = computed(() =>
    props.plan.inputs.shelf.abrasives
      .filter(one => !ids.value.includes(one.id))
      .map(one => ({ label: labelOf(one), value: one.id })),
  )
  /** A grit that is added stands where its grain belongs. */
  function add(id: string) {
    const grain = (one: string) => {
      const { scale, mark } = must(byId.value.get(one), 'a grit of the ladder is on the plan’s shelf')
      return grainSize(scale, mark)
    }
    const at = ids.value.findIndex(one => grain(one) < grain(id))
    change({ ladder: at < 0 ? [...ids.value, id] : [...ids.value.slice(0, at), id, ...ids.value.slice(at)] })
  }
  /** A ladder typed as it is said, taken as it stands. */
  const typed = ref('')
  const typedFault = ref('')
  /** How bare numbers were taken that are on the shelf in several scales. */
  const typedTaken = ref('')
  function takeTyped() {
    try {
      const { abrasives, taken } = typedLadder(typed.value, props.plan.inputs.shelf.abrasives)
      const ladder = abrasives.map(one => one.id)
      typedTaken.value = taken.length ? `Taken: ${taken.join('; ')}.` : ''
      typedFault.value = ladder.length ? '' : 'Type the grits in their order, like 150 240 400 600.'
      if (ladder.length) change({ ladder: [...new Set(ladder)] })
    } catch (error) {
      if (!(error instanceof AbrasiveError)) throw error
      typedFault.value = error.message
      typedTaken.value = ''
    }
  }
  const take = (ladder: readonly string[], name: string) =>
    name === 'best for my shelf' ? change({ ladder: undefined }) : change({ ladder })
  const same = (ladder: readonly string[]) => ladder.join() === ids.value.join()

  const jump = computed(() => String(wishes.value.jump ?? props.plan.inputs.method.greatestJump))

  const speed = computed(() => ((wishes.value.sandSpeed ?? props.plan.inputs.method.speeds.sand) >= 1750 ? '2500' : '1000'))

  /** What may be left where the turner says nothing. */
  const usualLeave = computed(() => micrometres(mayLeave({ ...props.plan.inputs, wishes: {} }).value))
  const usable = computed(() => usableBare(props.plan.inputs).length)
  const learnt = computed(() => workshop.learntOf(props.plan.inputs.material))
  return {
    wishes,
    change,
    ids,
    review,
    reasons,
    offers,
    nameOf,
    names,
    rows,
    whole,
    missing,
    move,
    without,
    refuse,
    allow,
    keepGrit,
    addable,
    add,
    typed,
    typedFault,
    typedTaken,
    takeTyped,
    take,
    same,
    jump,
    speed,
    usualLeave,
    usable,
    learnt,
    byId,
  }
}

/** So many of the pens of a wood are looked through, the latest first, for one that was sanded. */
const MOST_LOOKED = 20

/** What was sanded last on the same wood, as far as the shelf still has it. */
export function useLastLadder(props: LadderProps) {
  const isThere = (id: string) => props.plan.inputs.shelf.abrasives.some(one => one.id === id)
  const last = ref<{ mark: string, ids: string[] }>()
  onMounted(async () => {
    try {
      const { pens } = await api('GET /api/pens', { query: { material: props.plan.inputs.material.id, limit: MOST_LOOKED } })
      const found = pens.find(({ pen, summary }) => pen.id !== props.pen && summary.stage !== 'planned')
      if (!found) return
      const { plan } = await api('GET /api/pens/:id', { params: { id: found.pen.id } })
      const used = (plan?.steps ?? []).flatMap(step => (step.kind === 'sand' && isThere(step.abrasive.id) ? [step.abrasive.id] : []))
      if (used.length) last.value = { mark: found.pen.mark, ids: used }
    } catch {
      // Without the other pens there is nothing to be like: the rest of the panel works as it is.
    }
  })
  return last
}
