import { prepareLight, type PreparedLight } from '@/core/colour/appearance'
import { ILLUMINANT_SPECTRA } from '@/core/colour/illuminant'
import { BANDS, type Reflectance } from '@/core/colour/spectrum'
import { emptyUndertones, flatUndertones } from '@/core/undertone/flat-undertones'
import type { HappyMedium, KeeperFinish } from '@/core/ranking/best-compromise'
import type { HouseRules } from '@/core/advice/house-rules'
import type { FinishColour } from '@/core/pairing/keeper-parts'
import { modelReading } from '@/core/pairing/pair-reading'
import type { SeenColour } from '@/core/ranking/next-try'
import { roomAdvice, type RoomCharacter } from '@/core/advice/room-advice'
import { leaning, undertoneOf } from '@/core/undertone/undertone'
import { lightOf, type LightChoice, type RoomDay } from '@/core/light/light-choice'
import { lrvPercent } from '@/core/paint/lrv'
import { verdictOfGrade, worksDegree, type WorksDegree } from '@/core/pairing/pair-grade'
import type { Verdict } from '@/core/record/verdict'
import { atStrength, STRENGTHS_PERCENT, whyNoLadder } from '@/core/paint/strength'
import type { RankReply } from '@/workers/rank-protocol'
import type { DeckEntry } from './deck-strips'

/** A colour of a keeper that a ranking goes by, and whose it is. */
export interface RankedAgainst extends KeeperFinish {
  readonly name: string
  readonly colour: FinishColour
}

/** A deck colour at the strength that fits a room best. */
export interface RankedColour {
  readonly place: number
  readonly strengthPercent: number
  readonly reflectance: Reflectance
  readonly verdict: Verdict
  /** "sweet spot", "fits", "on the edge"; null where it does not work. */
  readonly degree: WorksDegree | null
  /** See `gradeOf`. */
  readonly grade: number
  /** Which finish and which light are its weakest. */
  readonly weakestFinish: number
  readonly weakestLight: number
}

/** What each row of a ranking is: a place of the deck at a strength. */
export interface RankRow {
  readonly place: number
  readonly strengthPercent: number
}

/** Every colour of a deck at every strength its base and the house rule allow. */
export function rankRows(
  entries: readonly DeckEntry[],
  reflectances: readonly Reflectance[],
  whiteBase: Reflectance,
  weakestPercent: number,
): { readonly of: readonly RankRow[]; readonly rows: Float64Array<ArrayBuffer> } {
  const of = entries.flatMap(({ base }, place) =>
    STRENGTHS_PERCENT.filter(
      (percent) => percent === 100 || (whyNoLadder(base) === null && percent >= weakestPercent),
    ).map((strengthPercent) => ({ place, strengthPercent })),
  )
  const rows = new Float64Array(of.length * BANDS)
  of.forEach(({ place, strengthPercent }, i) =>
    rows.set(atStrength(reflectances[place]!, whiteBase, strengthPercent), i * BANDS),
  )
  return { of, rows }
}

/**
 * The best colours, each at its best strength only, at most `most`.
 *
 * @param rows what was ranked, 36 numbers each, in the order of `of`
 * @param isRuledOut colours to leave out: the siblings of a lean that got a no
 */
export function bestColours(
  of: readonly RankRow[],
  rows: Float64Array,
  reply: Pick<RankReply, 'order' | 'worst' | 'worstFinish' | 'worstLight'>,
  most: number,
  isRuledOut: (reflectance: Reflectance) => boolean = () => false,
): RankedColour[] {
  const best = new Map<number, RankedColour>()
  for (const row of reply.order) {
    if (best.size === most) break
    const { place, strengthPercent } = of[row]!
    if (best.has(place)) continue
    const reflectance = rows.slice(row * BANDS, (row + 1) * BANDS)
    if (isRuledOut(reflectance)) continue
    best.set(place, {
      place,
      strengthPercent,
      reflectance,
      verdict: verdictOfGrade(reply.worst[row]!),
      degree: worksDegree(reply.worst[row]!),
      grade: reply.worst[row]!,
      weakestFinish: reply.worstFinish[row]!,
      weakestLight: reply.worstLight[row]!,
    })
  }
  return [...best.values()]
}

/** Every row of a ranking as it is seen in a light; `row` is its place among the rows. */
export function seenRows(
  light: PreparedLight,
  of: readonly RankRow[],
  rows: Float64Array,
): (SeenColour & { readonly row: number })[] {
  const seen = emptyUndertones(of.length)
  flatUndertones(light, rows, seen)
  return of.map(({ place }, row) => ({
    place,
    row,
    undertone: leaning(seen.j[row]!, seen.a[row]!, seen.b[row]!),
  }))
}

// What advice goes by: a lean by daylight.
const DAYLIGHT = prepareLight(ILLUMINANT_SPECTRA.D65, 500)

/** What besides its pairs holds a colour back in a room, with the house rule it follows from; empty where nothing does. */
export function heldBackWords(
  reflectance: Reflectance,
  { room, rules }: { readonly room: RoomCharacter; readonly rules: HouseRules },
): string {
  return roomAdvice(undertoneOf(DAYLIGHT, reflectance), lrvPercent(reflectance), room, rules)
    .map(({ words }) => words)
    .join('; ')
}

interface RankedIn {
  readonly of: readonly RankRow[]
  readonly rows: Float64Array
  readonly entries: readonly DeckEntry[]
  readonly roomDay: RoomDay
  readonly finishes: readonly RankedAgainst[]
  readonly lights: readonly { readonly name: string; readonly choice: LightChoice }[]
}

/**
 * The compromise said aloud: candidate, strength, weakest keeper and light, the reason, and the one keeper whose
 * change would lift it. Null where something fits all.
 */
export function happyMediumWords(
  medium: HappyMedium | null,
  { of, rows, entries, roomDay, finishes, lights }: RankedIn,
): string | null {
  if (!medium || verdictOfGrade(medium.grade) === 'works') return null
  const { place, strengthPercent } = of[medium.row]!
  const finish = finishes[medium.finish]!
  const at = lights[medium.light]!
  const light = lightOf(roomDay, at.choice)
  const why = light
    ? modelReading(
        prepareLight(light.spectrum, light.illuminanceLux),
        {
          strengthPercent,
          reflectance: rows.slice(medium.row * BANDS, (medium.row + 1) * BANDS),
          source: 'maker',
        },
        [finish.colour],
        [],
        finish.mayBeSetOff,
      ).reason
    : null
  const lifting = finishes.find(({ keeperId }) => keeperId === medium.lift?.keeperId)
  return [
    `Nothing fits all that stays. Best across: ${entries[place]!.name} at ${strengthPercent} %, ` +
      `weakest against ${finish.name} ${at.name}${why ? `, ${why}` : ''}.`,
    ...(lifting && medium.lift
      ? [
          verdictOfGrade(medium.lift.grade) === 'works'
            ? `With another ${lifting.name} it would work.`
            : `Another ${lifting.name} would help most.`,
        ]
      : []),
  ].join(' ')
}
