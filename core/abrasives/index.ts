export * from './grain'
export * from './scales'
