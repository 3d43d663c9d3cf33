import { capital } from '@/core/words'

const MOST_LETTERS = 80

/**
 * The names of rooms in what was typed, with commas between them.
 *
 * @returns none of them, and the first that is there already, where one is
 */
export function roomNames(
  typed: string,
  taken: readonly string[],
): { readonly names: readonly string[]; readonly twice: string | null } {
  const known = new Set(taken.map((each) => each.toLowerCase()))
  const names: string[] = []
  for (const part of typed.split(/[,;]/)) {
    const name = capital(part.trim()).slice(0, MOST_LETTERS)
    if (name === '') continue
    if (known.has(name.toLowerCase())) return { names: [], twice: name }
    known.add(name.toLowerCase())
    names.push(name)
  }
  return { names, twice: null }
}
