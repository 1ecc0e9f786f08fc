import type { BarrelId } from '../../barrel'
import type { RepairOf } from '../../defects'
import type { Applicator } from '../../film'
import type { CoatProduct, Product, ShelfAbrasive, WaitPurpose } from '../../shelf'
import type { MendId, StepId } from './ids'

/** The order of the work; a step never comes before one of an earlier phase. */
export const phases = ['blank', 'turn', 'sand', 'clean', 'coat', 'level', 'assemble'] as const
/** One of them. */
export type Phase = (typeof phases)[number]

/** What a wait can be counted from. */
export const gateKinds = ['tube', 'harden', 'fill', 'coat', 'set aside', 'fix'] as const

/** A wait that must be over before a step: for what, counted from the nearest step of that kind before it. */
export interface Gate {
  /** What must have happened meanwhile. */
  purpose: WaitPurpose
  /** The kind of step it is counted from. */
  since: (typeof gateKinds)[number]
}

interface StepBase {
  /** Stays the same from version to version for the same piece of work, so that what was done stays done. */
  id: StepId
  /** Where in the order of the work it stands. */
  phase: Phase
  /** The barrels it is done on. */
  barrels: readonly BarrelId[]
  /** The wait before it, where there is one. */
  gate?: Gate
  /** Of a step that is done again: the defect, or what was done beside the plan, that it is done again for. */
  again?: string
  /** Of a step that a mend put in: the mend it belongs to. */
  mend?: MendId
  /** Of a mend’s step on a barrel that catches up with the rest: what it leaves there is followed apart. */
  apart?: true
}

/** Ways to clean a surface before its first coat. */
export const cleanHows = ['blow', 'alcohol', 'rinse'] as const
/** One of them. */
export type CleanHow = (typeof cleanHows)[number]

/** Small work by hand that a mend asks for. */
export const fixHows = ['ream', 'press on', 'take apart', 'flush the end', 'ease the end', 'touch up'] as const
/** One of them. */
export type FixHow = (typeof fixHows)[number]

/** What each kind of step says besides, by its kind: a new kind of work begins here. */
interface Particulars {
  'parts': object
  'cut': object
  'drill': object
  'dry': object
  'tube': { product: Product | null, accelerated: boolean }
  'square': object
  'turn': object
  'fill': { product: Product, accelerated: boolean, repair: RepairOf }
  'flush': { repair: RepairOf }
  'harden': { product: Product }
  'sand': { abrasive: ShelfAbrasive }
  'try': { product: Product }
  'clean': { how: CleanHow }
  'coat': Coat
  'buff': object
  'wipe off': { product: Product }
  /** A coat that was put on is wiped off again while it is wet; `coat` is its step. */
  'take off': { product: CoatProduct, coat: StepId }
  /** Rubbed with a handful of its own shavings. */
  'burnish': object
  'cut back': { abrasive: ShelfAbrasive }
  'level': { abrasive: ShelfAbrasive }
  'smooth': { abrasive: ShelfAbrasive }
  'polish': { product: Product }
  /** The finish is sanded off down to the wood: all of it, or at the place of a defect. */
  'sand back': { abrasive: ShelfAbrasive, whole: boolean }
  'ends': object
  'assemble': object
  'check': object
  /** Left alone in the warm for so many s. */
  'set aside': { seconds: number }
  'look again': object
  /** With a drop of a product, where it takes one. */
  'fix': { how: FixHow, product?: Product }
}

/** What a coat says. */
interface Coat {
  /** What it is of. */
  product: CoatProduct
  /** Which one it is among the coats that are counted together. */
  number: number
  /** Set by accelerator. */
  accelerated: boolean
  /** To soak in: part of it stays in the pores. */
  soak: boolean
  /** Spindle speed, rev/min; 0 with the lathe off. */
  speed: number
  /** What it is put on with. */
  applicator: Applicator
  /** The mend whose bared place it covers. */
  mends?: MendId
}

/** Every kind of step. */
export type StepKind = keyof Particulars
/** A step of one kind. */
export type StepOf<K extends StepKind> = Extract<Step, { kind: K }>
/** One step of a plan: what is to be done, and nothing that can be worked out from the rest. */
export type Step = { [K in StepKind]: StepBase & { kind: K } & Particulars[K] }[StepKind]
/** A coat. */
export type CoatStep = StepOf<'coat'>
/** Kinds of steps that sand. */
export type GritKind = 'sand' | 'level' | 'smooth' | 'cut back' | 'sand back'
/** A step that sands. */
export type GritStep = StepOf<GritKind>

/** Whether a step sands: wood or film. */
export const isGrit = (step: Step): step is GritStep => 'abrasive' in step

/** Whether a step is of a kind, for filters. */
export const isKind = <K extends StepKind>(kind: K) => (step: Step): step is StepOf<K> => step.kind === kind
