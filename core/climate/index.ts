export * from './air'
export * from './wait'
