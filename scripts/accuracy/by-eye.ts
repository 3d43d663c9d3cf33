import { readFileSync } from 'node:fs'
import type { Lab } from '../../src/core/colour/lab'
import { SHIFT_DIRECTIONS, SHIFT_SIZES, shiftedLab } from '../../src/core/paint/by-eye'
import { STUFFS } from '../../src/core/paint/eye-field'
import {
  matchedInField,
  matchedToDeck,
  ratedFinishes,
} from '../../src/core/paint/simulated-match.fixture'

const EYES = 20

/** A finish matched by eye: in the field of its kind, and beside the demo's deck; with simulated eyes over the rated finishes. */
export function printByEye(): void {
  const finishes = ratedFinishes()
  const field = finishes.flatMap((finish, i) =>
    Array.from({ length: EYES }, (_, eye) => matchedInField(finish, 1000 * i + eye)),
  )
  const deck = demoDeck()
  const shifted = (lab: Lab): readonly Lab[] =>
    SHIFT_DIRECTIONS.flatMap((towards) =>
      SHIFT_SIZES.map((size) => shiftedLab(lab, { towards, size })),
    )
  const beside = finishes.map((finish, i) => matchedToDeck(finish, deck, shifted, i))
  console.log(`  ${finishes.length} finishes, ${EYES} eyes each in the field, one beside the deck`)
  for (const stuff of STUFFS) {
    const own = field.filter((each) => each.stuff === stuff)
    console.log(`  ${stuff}, ${own.length}: ${figures(own)}`)
  }
  console.log(`  all: ${figures(field)}`)
  console.log(`  beside a deck of ${deck.length}: ${figures(beside)}`)
}

type Match = ReturnType<typeof matchedToDeck>

function figures(matches: readonly Match[]): string {
  const share = (of: keyof Match, at: number): string => {
    const sorted = matches.map((each) => each[of]).sort((p, q) => p - q)
    return sorted[Math.floor(at * sorted.length)]!.toFixed(1)
  }
  return `ΔE00 ${share('deltaE00', 0.5)} in the median, ${share('deltaE00', 0.9)} at nine of ten; UCS lean ${share('lean', 0.95)} and lightness ${share('lightness', 0.95)} at 95 %`
}

function demoDeck(): readonly Lab[] {
  const [header, ...lines] = readFileSync('demo/deck.csv', 'utf8').trim().split('\n')
  const columns = header!.split(',')
  const at = ['L', 'a', 'b'].map((name) => columns.findIndex((each) => each.startsWith(name)))
  return lines.map((line) => {
    const values = line.split(',')
    return at.map((i) => Number(values[i])) as unknown as Lab
  })
}
