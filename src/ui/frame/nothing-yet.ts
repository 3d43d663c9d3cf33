/**
 * What stands in for a part of the page while it is on its way. Given to `dynamic` it keeps the wait to that part: without
 * it the whole page would wait, and keys pressed meanwhile would be lost.
 */
export const NOTHING_YET = (): null => null
