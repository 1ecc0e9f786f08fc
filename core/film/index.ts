export * from './coats'
export * from './film'
export * from './product'
