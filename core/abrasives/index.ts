export * from './convert'
export * from './grain'
export * from './scales'
export * from './typed'
