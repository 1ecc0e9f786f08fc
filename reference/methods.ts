import type { Method } from '../core/plan'

/** Ways of finishing, with the settings of their school. Speeds in rev/min. */
export const methods: readonly Method[] = [
  {
    id: 'ca-thin-first', name: 'CA film, thin first', soakCoats: 2, mediumCoats: 1, applicator: 'foam',
    speeds: { sand: 1000, coat: 500, level: 500, polish: 1000 }, greatestJump: 2,
    source: { mark: 'trade', note: 'one school of several: thin to soak in and fill, thin with accelerator, medium last' },
  },
]
