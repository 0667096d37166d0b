export * from './simulated'
export * from './work-day'
