export { handOf, type Hand } from './hand'
export { hazards, playing, spreads, type HazardName, type Played, type Spread, type SpreadName } from './many'
export { sharesOf, type Share } from './matters'
export { playable, type Outcome, type Playable } from './play'
