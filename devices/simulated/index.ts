export * from './models'
export * from './wire'
