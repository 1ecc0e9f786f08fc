export * from './ladders'
export * from './medium'
export * from './surface'
export * from './work'
