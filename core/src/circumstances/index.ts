export * from './circumstances'
