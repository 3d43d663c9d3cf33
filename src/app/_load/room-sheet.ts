import { clockTime } from '@/core/light/day-clock'
import { keyLights } from '@/core/light/key-lights'
import { daySentences } from '@/core/light/light-words'
import { lrvPercent } from '@/core/paint/lrv'
import { cellSays } from '@/core/record/cell'
import { lookSaid, seenSaid } from '@/core/record/look-words'
import type { Verdict } from '@/core/record/verdict'
import { seenLine, seenWords } from '@/core/undertone/drawn'
import { lightnessWord } from '@/core/undertone/lightness-word'
import type { KeptLook } from '@/db/look-row'
import { dateAt } from '@/time/local-day'
import { longDate } from '@/core/light/calendar-date'
import { bandsOf, looksOf, lookWordsOf, whyOut } from './house-grid'
import { loadArriving } from './arriving'
import { candidatePaint } from './paints'
import { standingRulings } from './rulings'
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
 * The record of one room, ready to print.
 *
 * @param date the day of its lights, the visit's own without one
 */
export async function loadRoomSheet(visitId: string, roomId: string, date?: string) {
  const { visit, rooms, room, roomDay } = await loadRoom(visitId, roomId, date)
  const decks = await loadDecks()
  const keepers = await loadKeepersInRoom(visit.id, room.id)
  const looks = (await loadStandingLooks(visit.id)).filter((look) => look.roomId === room.id)
  const counting = await loadLooksThatCount(visit.id)
  const lights = keyLights(roomDay)
  const words = await lookWordsOf(visit)

  const entries = (await loadCandidates(visit.id)).flatMap((candidate) => {
    const proposals = candidate.proposals.filter((proposal) => proposal.roomId === room.id)
    const own = looksOf(looks, candidate.id, room.id)
    if (proposals.length === 0 && own.length === 0) return []
    const paint = candidatePaint(candidate, decks)
    return {
      paint,
      proposals,
      ruledOut: whyOut(candidate, room.id),
      base: candidate.base,
      lrvPercent: lrvPercent(paint.reflectance),
      words: lights[0]
        ? seenLine(seenWords(lights[0].prepared, paint.reflectance, visit.houseRules))
        : lightnessWord(lrvPercent(paint.reflectance)),
      bands: bandsOf(paint, lights),
      says: cellSays(looksOf(counting, candidate.id, room.id)),
      looks: own.map(lookLine),
    }
  })
  const standing = (...verdicts: readonly Verdict[]) =>
    entries.filter(
      ({ says, ruledOut }) => ruledOut === null && says.verdict && verdicts.includes(says.verdict),
    )

  function lookLine(look: KeptLook) {
    return {
      id: look.id,
      against: words.against(look),
      light: words.light(look),
      how: seenSaid(look),
      isOnScreen: look.seen.as === 'screen',
      said: lookSaid(look),
      note: look.note,
      client: look.client,
      photoHash: look.photoHash,
      by: look.by,
      model: look.model,
    }
  }

  const rulings = standingRulings(await loadRulings(visit.id))
    .filter((each) => each.roomId === room.id)
    .flatMap((ruling) => {
      const entry = entries.find(({ paint }) => paint.id === ruling.candidateId)
      return entry
        ? [{ ...ruling, entry, on: longDate(dateAt(ruling.madeAt, visit.timeZone)) }]
        : []
    })

  return {
    visit,
    rooms,
    room,
    rulings,
    arriving: await loadArriving(visit, room.id),
    date: roomDay.day.date,
    keepers,
    lightNames: lights.map(({ name, choice }) =>
      name === 'lamps' ? 'under lamps' : `${name}, ${clockTime(roomDay.day, choice.minute)}`,
    ),
    sentences: daySentences(roomDay, 'clear'),
    groups: [
      { title: 'What works', entries: standing('works') },
      { title: 'Works at another strength', entries: standing('works-lighter', 'works-stronger') },
      { title: 'Still open', entries: standing('unsure') },
      {
        title: 'Ruled out, and why',
        entries: entries.filter(({ says, ruledOut }) => ruledOut !== null || says.verdict === 'no'),
      },
    ],
    // Seen on a screen only is not seen.
    unseen: entries.filter(({ says, ruledOut }) => ruledOut === null && says.verdict === null),
  }
}

export type SheetEntry = Awaited<ReturnType<typeof loadRoomSheet>>['unseen'][number]
