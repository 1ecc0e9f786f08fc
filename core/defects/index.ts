export * from './defect'
export * from './repairs'
