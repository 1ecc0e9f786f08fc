import type { Defect, RepairWay } from '../defects'
import { mendId, stepId, type ChosenRepair, type Extra, type MendId, type StepId } from '../plan'
import type { EventOf } from './event'
import type { Held, Said } from './held'

/** What the log changes in the plan, in the order it happened. */
export type PlanEdit = { kind: 'repair', repair: ChosenRepair } | { kind: 'extra', extra: Extra } | { kind: 'return', key: MendId }

/**
 * A mend that was chosen. It is `chosen` until somebody says that the defect still shows: then it has `failed`, and the next choice is a
 * further mend.
 */
export interface Round {
  /** Its name in the plan. */
  key: MendId
  /** The way that was chosen. */
  way: RepairWay
  /** When; of a choice that took another's place, that of the last. */
  at: string
  /** How it stands. */
  state: 'chosen' | 'failed'
}

/** The course of one defect through the log. */
export interface Course {
  /** What was noted. */
  noted: EventOf<'defect'>
  /** Its mends, in their order. */
  rounds: readonly Round[]
  /** That it is mended, or left as it is; absent while nobody said so, and again once another mend is chosen or it still shows. */
  settled?: { how: 'mended' | 'left', at: string }
  /** Questions about its cause, answered; the last answer counts. */
  answers: ReadonlyMap<string, 'yes' | 'no' | 'not known'>
  /** What its cause is judged to be; null when a judgement was taken away. */
  judged: string | null
  /** Its pictures. */
  photos: readonly string[]
}

/** All that the log says of defects and of coats beyond the plan. */
export interface Book {
  /** Courses by the id of their defect. */
  courses: ReadonlyMap<string, Course>
  /** What follows for the plan. */
  edits: readonly PlanEdit[]
}

/** What can happen to a defect, or beside the plan. */
type Action = EventOf<'coat' | 'extra' | 'return' | 'repair' | 'settle' | 'answer' | 'judge' | 'photo'>

/** The book of a log. `done` are the steps that were done at any time: a mend that was begun is not taken back by another choice. */
export function bookOf({ said, steps }: Held): Book {
  const done = steps.flatMap(event => (event.kind === 'done' ? [event.payload.step] : []))
  const courses = new Map(said.filter(isOf('defect')).map(noted => [noted.id, begun(noted)]))
  return said.filter(isAction).reduce<Book>((book, action) => after(book, action, done), { courses, edits: [] })
}

const isOf
  = <K extends Said['kind']>(kind: K) =>
    (event: Said): event is Extract<Said, { kind: K }> =>
      event.kind === kind
const ACTIONS: readonly Said['kind'][] = ['coat', 'extra', 'return', 'repair', 'settle', 'answer', 'judge', 'photo']
const isAction = (event: Said): event is Action => ACTIONS.includes(event.kind)

const begun = (noted: EventOf<'defect'>): Course => ({ noted, rounds: [], answers: new Map(), judged: null, photos: [] })

/** The book after one more action. What is said of a defect that was never noted changes nothing. */
function after(book: Book, action: Action, done: readonly StepId[]): Book {
  if (action.kind === 'coat' || action.kind === 'extra') {
    return { ...book, edits: [...book.edits, { kind: 'extra', extra: extraOf(action) }] }
  }
  if (action.kind === 'return') {
    return action.payload.why === 'repair' ? { ...book, edits: [...book.edits, { kind: 'return', key: action.id }] } : book
  }
  const course = book.courses.get(action.payload.defect)
  if (!course) return book
  switch (action.kind) {
    case 'repair':
      return chosen(book, course, action, done)
    case 'settle':
      return withCourse(book, settled(course, action))
    case 'answer':
      return withCourse(book, { ...course, answers: new Map([...course.answers, [action.payload.question, action.payload.answer]]) })
    case 'judge':
      return withCourse(book, { ...course, judged: action.payload.cause })
    case 'photo':
      return withCourse(book, { ...course, photos: [...course.photos, action.payload.photo] })
  }
}

const coatExtra = ({ product, step, item }: EventOf<'coat'>['payload']): Omit<Extra, 'key'> =>
  ({ work: 'coat', with: product, step, ...(item ? { item } : {}) })

/** What was done beside the plan, as the plan takes it. */
const extraOf = (event: EventOf<'coat' | 'extra'>): Extra =>
  event.kind === 'extra'
    ? { key: event.id, ...event.payload }
    : { ...coatExtra(event.payload), key: event.id }

const withCourse = (book: Book, course: Course): Book => ({ ...book, courses: new Map([...book.courses, [course.noted.id, course]]) })

/**
 * A mend chosen. A second choice takes the place of the first, unless that failed or some of it was done already: then it comes after
 * it, so that nothing done is lost.
 */
function chosen(book: Book, course: Course, { at, payload }: EventOf<'repair'>, done: readonly StepId[]): Book {
  const { defect, way, step, from } = payload
  const last = course.rounds.at(-1)
  const stays = last && (last.state === 'failed' || done.some(id => stepId.isOf(id, last.key)))
  const key = !last ? mendId.first(defect) : stays ? mendId.next(last.key, defect) : last.key
  const { kind, barrel, fromTip, size } = course.noted.payload
  const edit: PlanEdit = { kind: 'repair', repair: { defect, key, way, step, kind, barrel, fromTip, size, ...(from ? { from } : {}) } }
  const round: Round = { key, way, at, state: 'chosen' }
  const { settled: _, ...open } = course
  const replaced = book.edits.map(one => (isEditOf(one, key) ? edit : one))
  return {
    ...withCourse(book, { ...open, rounds: [...course.rounds.filter(one => one.key !== key), round] }),
    edits: replaced.includes(edit) ? replaced : [...replaced, edit],
  }
}

const isEditOf = (edit: PlanEdit, key: MendId): boolean => edit.kind === 'repair' && edit.repair.key === key

/** Somebody says how it stands: over, or still there, which fails its last mend. */
function settled({ settled: _, ...course }: Course, { at, payload: { how } }: EventOf<'settle'>): Course {
  if (how !== 'failed') return { ...course, settled: { how, at } }
  const last = course.rounds.length - 1
  return { ...course, rounds: course.rounds.map((round, index) => (index === last ? { ...round, state: 'failed' } : round)) }
}

/** A mend as the bench shows it. */
export interface MendState {
  /** Its name in the plan. */
  key: MendId
  /** The way that was chosen. */
  way: RepairWay
  /** When it was chosen. */
  at: string
  /** When its last step was done; absent before. */
  done?: string
  /** Somebody said that the defect still shows. */
  failed?: boolean
}

/**
 * A defect with all that was said and done about it. It is `open` until a mend is chosen, then `mending`; once the last step of the mend
 * is done it counts as `mended` until somebody says that it still shows, which opens it again; `left` when somebody left it as it is.
 */
export interface DefectState extends Defect {
  /** When it was noted. */
  at: string
  /** The step under way when it was found; null when nothing was left to do. */
  step: StepId | null
  /** How it stands. */
  status: 'open' | 'mending' | 'mended' | 'left'
  /** Its mends, in their order. */
  mends: MendState[]
  /** When it was over; absent before. */
  settledAt?: string
  /** Questions about its cause, answered. */
  answers: ReadonlyMap<string, 'yes' | 'no' | 'not known'>
  /** What its cause is judged to be. */
  judged?: string
  /** Its pictures. */
  photos: readonly string[]
}

/** A defect as it stands; `endDone` tells when the last step of a mend was done. */
export function defectState({ noted, ...course }: Course, endDone: (key: MendId) => string | undefined): DefectState {
  const mends = course.rounds.map(({ key, way, at, state }): MendState => {
    const done = endDone(key)
    return { key, way, at, ...(done ? { done } : {}), ...(state === 'failed' ? { failed: true } : {}) }
  })
  const over = overBy(course, mends.at(-1))
  return {
    id: noted.id,
    at: noted.at,
    ...noted.payload,
    status: over?.how ?? (mends.at(-1) && !mends.at(-1)?.failed ? 'mending' : 'open'),
    mends,
    ...(over ? { settledAt: over.at } : {}),
    answers: course.answers,
    ...(course.judged ? { judged: course.judged } : {}),
    photos: course.photos,
  }
}

/** What ended it, if anything: somebody's word, or the last step of its mend. */
function overBy({ settled: said }: Pick<Course, 'settled'>, last: MendState | undefined): Course['settled'] {
  if (said) return said
  return last?.done && !last.failed ? { how: 'mended', at: last.done } : undefined
}

/** Whether something has to be decided about it: it is not over, and no mend is under way. */
export const isOpen = ({ status }: Pick<DefectState, 'status'>): boolean => status === 'open'
