import { hueName, hueNameAmongKind, AMONG_KIND_BELOW, type HueName } from '../undertone/hue-name'
import { hueApartDeg, type Undertone } from '../undertone/undertone'
import type { Reason } from '../record/verdict'
import type { Pairing } from './pairing'

const TOO: Record<HueName, Reason> = {
  pink: 'too pink',
  red: 'too pink',
  orange: 'too orange',
  yellow: 'too yellow',
  'yellow-green': 'too green',
  green: 'too green',
  'blue-green': 'too green',
  blue: 'too blue',
  violet: 'too violet',
}

// Leans this near in hue differ in strength, not in direction.
const SAME_WAY_DEG = 12

/** What a wall is too much of beside a finish, as seen among neutrals: the way it must not go on. */
export function tooMuchOf(wall: Undertone, finish: Undertone): Reason {
  const apart = hueApartDeg(wall.hueDeg, finish.hueDeg)
  if (apart < SAME_WAY_DEG) return wall.c > finish.c ? 'too strong' : 'too pale'
  const name = (hueDeg: number): Reason => TOO[namer(wall)(hueDeg)]
  const own = name(wall.hueDeg)
  if (own !== name(finish.hueDeg)) return own
  // Both go by one name: the wall is more of it where it lies nearer the middle of that name, else of the next one on.
  const turn = (wall.hueDeg - finish.hueDeg + 540) % 360 > 180 ? 1 : -1
  const stepsOut = (from: number, way: number): number => {
    let steps = 1
    while (steps < 180 && name((from + way * steps + 360) % 360) === own) steps++
    return steps
  }
  const ahead = stepsOut(wall.hueDeg, turn)
  const behind = stepsOut(finish.hueDeg, -turn)
  return ahead > behind ? own : name((wall.hueDeg + turn * ahead + 360) % 360)
}

const namer = ({ c }: Undertone): ((hueDeg: number) => HueName) =>
  c < AMONG_KIND_BELOW ? hueNameAmongKind : hueName

/** Why a pair is what it is, in the trade's words. */
export function reasonOf(
  pairing: Pairing,
  wall: Undertone,
  finish: Undertone,
  looksDirty: 'wall' | 'finish',
): Reason {
  switch (pairing) {
    case 'connects':
    case 'quiet stretch':
      return 'shares the undertone'
    case 'contrasts':
    case 'bridges':
      return 'sets it off'
    case 'washes out':
      return 'too pale'
    case 'dirties':
      if (looksDirty === 'finish') return 'too strong'
      return wall.b > finish.b ? 'too yellow' : 'too grey'
    case 'near miss':
      return 'too little contrast'
    case 'clashes':
      return tooMuchOf(wall, finish)
  }
}
