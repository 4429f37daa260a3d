export * from './people'
export * from './evidence'
export * from './groups'
export * from './sessions'
