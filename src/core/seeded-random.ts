/** Numbers in [0, 1), the same row for the same seed (mulberry32, public domain). */
export function seededRandom(seed: number): () => number {
  let state = seed >>> 0
  return () => {
    state = (state + 0x6d2b79f5) >>> 0
    let t = state
    t = Math.imul(t ^ (t >>> 15), t | 1)
    t ^= t + Math.imul(t ^ (t >>> 7), t | 61)
    return ((t ^ (t >>> 14)) >>> 0) / 4_294_967_296
  }
}

/** Numbers of a standard normal distribution, the same row for the same seed (Box and Muller 1958). */
export function seededBell(seed: number): () => number {
  const random = seededRandom(seed)
  return () => Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random())
}

/** A seed that is the same for the same thing, by its id. */
export const seedOfId = (id: string): number => Number.parseInt(id.slice(0, 7), 16)
