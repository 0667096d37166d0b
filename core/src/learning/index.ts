export * from './law'
