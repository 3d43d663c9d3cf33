import { isJudgedAgainst } from '@/core/pairing/keeper-kind'
import { lrvPercent } from '@/core/paint/lrv'
import { compromiseSaid } from '@/core/ranking/compromise-words'
import { cellSays } from '@/core/record/cell'
import { foundedOn } from '@/core/record/founded'
import { gapsOf } from '@/core/record/gaps'
import { isUnderLamps } from '@/core/record/look'
import { lookSaid } from '@/core/record/look-words'
import { byStanding } from '@/core/record/ruling'
import { strengthSpokenFor } from '@/core/record/strength-spoken-for'
import { VERDICT_WORDS } from '@/core/record/verdict'
import type { Candidate } from '@/db/candidates'
import { longDate } from '@/core/light/calendar-date'
import { dateAt } from '@/time/local-day'
import type { BenchCandidate } from '@/ui/bench/bench-model'
import { looksOf, lookWordsOf } from './house-grid'
import { candidatePaint, keeperFinish, loadRoomBrief } from './paints'
import { standingRulings, surfacesOfRoom } from './rulings'
import {
  loadCandidates,
  loadDecks,
  loadKeepersInRoom,
  loadLooksThatCount,
  loadRoom,
  loadRulings,
  loadStandingLooks,
} from './visit-page'

/**
 * A surface of a room to be ruled on: every candidate for it as the record has it, what is missing, and the compromise.
 *
 * @param asked the surface; the first one without
 */
export async function loadRoomRuling(visitId: string, roomId: string, asked?: string) {
  const { visit, room, rooms, roomDay } = await loadRoom(visitId, roomId)
  const decks = await loadDecks()
  const candidates = await loadCandidates(visit.id)
  const rulings = await loadRulings(visit.id)
  const surfaces = surfacesOfRoom(candidates, rulings, room.id)
  const surface = surfaces.find((each) => each === asked) ?? surfaces[0] ?? 'walls'
  const keepers = await loadKeepersInRoom(visit.id, room.id)
  const judged = keepers.filter(({ state }) => isJudgedAgainst(state))
  const looks = await loadStandingLooks(visit.id)
  const counting = await loadLooksThatCount(visit.id)
  const words = await lookWordsOf(visit)
  const toRule = {
    hasWindow: room.windows.length > 0,
    hasLamps: room.lamps.length > 0,
    hasSkies: visit.climate !== 'sunny',
    keepers,
  }

  /** The same paint at whatever strengths it was taken up. */
  const samePaint = ({ deckColourId }: Candidate): readonly string[] =>
    candidates.filter((each) => each.deckColourId === deckColourId).map(({ id }) => id)

  const entries = candidates.flatMap((candidate) => {
    const proposal = candidate.proposals.find(
      (each) => each.roomId === room.id && each.surface === surface,
    )
    if (!proposal) return []
    const own = looksOf(looks, candidate.id, room.id)
    const says = cellSays(looksOf(counting, candidate.id, room.id))
    const paint = candidatePaint(candidate, decks)
    const ruledOut =
      candidate.ruledOut !== null
        ? candidate.ruledOut || 'for the house'
        : proposal.status === 'ruled out'
          ? proposal.reason || 'here'
          : null
    return {
      paint,
      lrvPercent: lrvPercent(paint.reflectance),
      sheen: proposal.sheen,
      verdict: says.verdict,
      /** Where it works lighter or stronger: the strength that looks at the same paint speak for, per cent. */
      spokenForPercent: strengthSpokenFor(
        counting.filter(
          (look) =>
            look.roomId === room.id && samePaint(candidate).includes(look.candidate.candidateId),
        ),
        says.verdict,
        candidate.strengthPercent,
      ),
      ruledOut,
      isRuledOut: ruledOut !== null,
      /** "works by day, works lighter under lamps". */
      inLights: [
        { name: 'by day', looks: says.counted.filter((look) => !isUnderLamps(look)) },
        { name: 'under lamps', looks: says.counted.filter(isUnderLamps) },
      ].flatMap(({ name, looks: some }) => {
        const { verdict } = cellSays(some)
        return verdict === null ? [] : [`${VERDICT_WORDS[verdict]} ${name}`]
      }),
      founded: foundedOn(says.counted),
      /** The look that the verdict goes by: "no: too green, beside Stone counter, 21 June, 19:20, clear". */
      named: says.look
        ? `${lookSaid(says.look)} beside ${words.against(says.look)}, ${words.light(says.look)}${says.look.seen.as === 'screen' ? ', on the screen' : ''}`
        : '',
      gaps: gapsOf(toRule, own),
      clientSaysNo: says.clientSaysNo,
    }
  })
  const standing = entries.filter(({ isRuledOut }) => !isRuledOut)
  // Where the eye found one that works there is nothing to give up; what it has not seen the model does not speak of.
  const among = standing.some(({ verdict }) => verdict === 'works')
    ? []
    : standing.filter(({ verdict }) => verdict !== null)
  return {
    visit,
    room,
    surfaces,
    surface,
    keepers: judged.map((keeper) => keeperFinish(keeper, visit.houseRules)),
    entries: byStanding(entries),
    ruling: ruledAs(),
    earlier: rulings
      .filter(
        (each) =>
          each.roomId === room.id && each.surface === surface && each.reopenedBecause !== null,
      )
      .map(({ id, by, madeAt, candidateId, reopenedBecause }) => ({
        ...{ id, by },
        on: ruledOn(madeAt),
        because: reopenedBecause!,
        called: calledOf(candidates, candidateId),
      })),
    compromise: await compromiseOf(among.map(({ paint }) => paint)),
    house: rooms.map((each) => ({
      id: each.id,
      name: each.name,
      surfaces: surfacesOfRoom(candidates, rulings, each.id).map((painted) => {
        const ruled = standingRulings(rulings).find(
          ({ roomId: at, surface: on }) => at === each.id && on === painted,
        )
        const pick = candidates.find(({ id }) => id === ruled?.candidateId)
        return {
          surface: painted,
          pick: pick && ruled ? { paint: candidatePaint(pick, decks), sheen: ruled.sheen } : null,
        }
      }),
    })),
  }

  function ruledOn(madeAt: string): string {
    return longDate(dateAt(madeAt, visit.timeZone))
  }

  function ruledAs() {
    const ruling = standingRulings(rulings).find(
      (each) => each.roomId === room.id && each.surface === surface,
    )
    return ruling
      ? { ...ruling, on: ruledOn(ruling.madeAt), called: calledOf(candidates, ruling.candidateId) }
      : null
  }

  async function compromiseOf(paints: readonly BenchCandidate[]) {
    return compromiseSaid(paints, await loadRoomBrief(visit, room), roomDay)
  }
}

const calledOf = (candidates: readonly Candidate[], id: string): string => {
  const candidate = candidates.find((each) => each.id === id)
  return candidate
    ? `${candidate.name} at ${candidate.strengthPercent} %`
    : 'what was dropped since'
}

export type RulingPage = Awaited<ReturnType<typeof loadRoomRuling>>
export type RulingEntry = RulingPage['entries'][number]
