import type { Surface } from '../record/proposal'
import type { Sheen } from './sheen'
import { sheenOf, type Treatment } from './treatment'

/** What a room does to its paint. */
export interface Wear {
  /** Steam, splashes, hands: a kitchen, a bath. */
  readonly washed: boolean
}

const JOINERY: readonly Surface[] = ['trim', 'door inside', 'door outside', 'cabinets', 'island']

/** The sheen that a surface asks for; common practice: matt hides flaws, joinery and doors want satin. */
export function sheenForSurface(surface: Surface, treatment: Treatment, { washed }: Wear): Sheen {
  if (surface === 'ceiling') return 'matt'
  if (surface === 'door outside') return 'semi-gloss'
  if (JOINERY.includes(surface)) return 'satin'
  const plain = sheenOf[treatment]
  return washed && plain === 'matt' ? 'eggshell' : plain
}

const SHINY: readonly Sheen[] = ['satin', 'semi-gloss', 'gloss']

/** What speaks for a sheen on a surface, or against it, in one sentence; common practice. */
export function sheenSays(surface: Surface, sheen: Sheen, { washed }: Wear): string {
  const isShiny = SHINY.includes(sheen)
  if (JOINERY.includes(surface))
    return isShiny
      ? 'Takes knocks and washing, and hand marks come off with a damp cloth.'
      : 'Joinery and doors want satin: this marks, and hand marks stay.'
  if (surface === 'ceiling')
    return isShiny ? 'Shows every joint against the light; matt hides them.' : 'Hides the joints.'
  if (isShiny) return 'Shows every flaw of the plaster towards a window; it washes well.'
  if (washed)
    return sheen === 'matt'
      ? 'Hides flaws, but this room is splashed and wiped: eggshell washes better.'
      : 'Washes, and still hides most flaws.'
  return sheen === 'matt'
    ? 'Hides flaws; a scuffed wall is repainted whole.'
    : 'Washes better than matt, and shows a little more of the plaster.'
}
