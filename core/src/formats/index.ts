export * from './answer-log'
export * from './judge-log'
export * from './table'
export * from './text'
