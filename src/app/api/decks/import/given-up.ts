// So many are remembered: an import that is begun later than that was not overtaken.
const MOST = 1000

// Of the process: the routes are built apart, each with modules of its own.
const global = globalThis as { elmGivenUp?: Set<string> }
const ids = (): Set<string> => (global.elmGivenUp ??= new Set())

/**
 * Imports are begun and given up on two connections: a page that is closed while its beginning is on its way may give it up
 * before it has begun. That one is not begun any more.
 */
export function rememberGivenUp(deckId: string): void {
  const known = ids()
  known.add(deckId)
  if (known.size > MOST) known.delete(known.values().next().value!)
}

export const wasGivenUp = (deckId: string): boolean => ids().has(deckId)
