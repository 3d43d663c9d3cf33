// FNV-1a, 32 bits (Fowler, Noll, Vo; IETF draft-eastlake-fnv).
const OFFSET = 0x811c9dc5
const PRIME = 0x01000193

function hashOf(text: string): number {
  let hash = OFFSET
  for (let i = 0; i < text.length; i++) hash = Math.imul(hash ^ text.charCodeAt(i), PRIME)
  // Texts that differ in their last letters come apart only after some mixing.
  hash = Math.imul(hash ^ (hash >>> 16), 0x85ebca6b)
  return (hash ^ (hash >>> 13)) >>> 0
}

/** Things in an order that hangs on a seed and on what each is called: one more or fewer leaves the others as they were. */
export const shuffledBy = <T>(
  things: readonly T[],
  idOf: (thing: T) => string,
  seed: string,
): T[] =>
  things
    .map((thing) => ({ thing, at: hashOf(`${seed} ${idOf(thing)}`) }))
    .sort((p, q) => p.at - q.at || (idOf(p.thing) < idOf(q.thing) ? -1 : 1))
    .map(({ thing }) => thing)
