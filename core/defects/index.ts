export * from './defect'
