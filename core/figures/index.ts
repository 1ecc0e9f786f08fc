export * from './figure'
