export * from './air'
export * from './wait'
export * from './moisture'
