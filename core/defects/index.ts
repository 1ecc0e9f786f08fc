export * from './cause'
export * from './defect'
export * from './diagnose'
export * from './repairs'
