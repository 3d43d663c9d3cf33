import type { PreparedLight } from '../colour/appearance'
import type { Reflectance } from '../colour/spectrum'
import { inSheen, type Sheen } from '../paint/sheen'
import { undertoneOf } from './undertone'

// Under these nobody sees a change.
const SEEN_J = 1.5
const SEEN_C = 0.5
// As the words for differences have it.
const CLEARLY_J = 6

/** What a sheen does to a colour beside the same in matt, from both sides. */
export function sheenWords(light: PreparedLight, reflectance: Reflectance, sheen: Sheen): string {
  const matt = undertoneOf(light, reflectance)
  if (sheen === 'matt') return 'Matt hides flaws and keeps its colour from every side.'
  const away = undertoneOf(light, inSheen(reflectance, sheen, 'away from the window'))
  const towards = undertoneOf(light, inSheen(reflectance, sheen, 'towards the window'))
  const changes = [
    ...(matt.j - away.j > SEEN_J ? ['deeper'] : []),
    ...(away.c - matt.c > SEEN_C ? ['with more of its undertone'] : []),
  ]
  const veiled = towards.j - matt.j > SEEN_J
  if (changes.length === 0 && !veiled) return `In ${sheen} it looks as in matt.`
  const said = [
    ...(changes.length > 0 ? [`${changes.join(', ')} away from the window`] : []),
    ...(veiled
      ? [`${towards.j - matt.j < CLEARLY_J ? 'a little' : 'clearly'} lighter and greyer towards it`]
      : []),
  ]
  return `In ${sheen} beside matt: ${said.join('; ')}.`
}
