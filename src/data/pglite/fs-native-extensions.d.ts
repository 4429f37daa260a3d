declare module 'fs-native-extensions' {
  /** Locks the open file for this process; false if another process holds it. */
  export function tryLock(descriptor: number): boolean
}
