declare module 'fs-native-extensions' {
  /** Takes the lock of an open file, exclusive; false while another process holds it. */
  export function tryLock(file: number): boolean
  export function unlock(file: number): void
}
