export * from './path-work'
export * from './practice'
export * from './simulated'
export * from './work-day'
