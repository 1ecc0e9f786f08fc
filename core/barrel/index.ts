export * from './cut'
export * from './fitting'
export * from './speed'
export * from './turn'
