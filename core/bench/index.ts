export * from './event'
export * from './record'
export * from './replay'
export * from './summary'
