import { seenLine, seenWords } from '@/core/undertone/drawn'
import { cellVerdict } from '@/core/record/cell-verdict'
import { lightnessWord } from '@/core/undertone/lightness-word'
import type { Verdict } from '@/core/record/verdict'
import { clockTime } from '@/core/light/day-clock'
import { keyLights } from '@/core/light/key-lights'
import { daySentences } from '@/core/light/light-words'
import { lrvPercent } from '@/core/paint/lrv'
import { listCandidates } from '@/db/candidates'
import { listDecks } from '@/db/decks'
import { listKeepersInRoom } from '@/db/keepers'
import { listLooks, type Look } from '@/db/looks'
import { openDb } from '@/db/store'
import { lightWords, verdictSentence } from '@/ui/verdict/look-words'
import { bandsOf } from './house-grid'
import { candidatePaint } from './paints'
import { loadRoom } from './visit-page'

/** The record of one room, ready to print. */
export async function loadRoomSheet(visitId: string, roomId: string) {
  const { visit, room, roomDay } = await loadRoom(visitId, roomId)
  const db = await openDb()
  const decks = await listDecks(db)
  const keepers = await listKeepersInRoom(db, room.id)
  const looks = (await listLooks(db, visit.id)).filter(
    (look) => look.roomId === room.id && !look.retracted,
  )
  const lights = keyLights(roomDay)

  const entries = (await listCandidates(db, visit.id)).map((candidate) => {
    const paint = candidatePaint(candidate, decks)
    const own = looks.filter((look) => look.candidateId === candidate.id)
    return {
      paint,
      base: candidate.base,
      lrvPercent: lrvPercent(paint.reflectance),
      words: lights[0]
        ? seenLine(seenWords(lights[0].prepared, paint.reflectance, visit.houseRules))
        : lightnessWord(lrvPercent(paint.reflectance)),
      bands: bandsOf(paint, lights),
      standing: cellVerdict(own),
      looks: own.map((look) => lookLine(look)),
    }
  })
  const standing = (...verdicts: readonly Verdict[]) =>
    entries.filter((entry) => entry.standing && verdicts.includes(entry.standing.verdict))

  function lookLine(look: Look) {
    return {
      id: look.id,
      against: keepers.find(({ id }) => id === look.keeperId)?.name ?? 'a keeper',
      light: lightWords(
        { ...look, source: look.lightSource, minute: look.lightMinute },
        roomDay.place,
        roomDay.day,
      ),
      said: verdictSentence(look.verdict, look.reasons),
      note: look.note,
    }
  }

  return {
    visit,
    room,
    keepers,
    lightNames: lights.map(({ name, choice }) =>
      name === 'lamps' ? 'under lamps' : `${name}, ${clockTime(roomDay.day, choice.minute)}`,
    ),
    sentences: daySentences(roomDay, 'clear'),
    groups: [
      { title: 'What works', entries: standing('works') },
      { title: 'Works at another strength', entries: standing('works-lighter', 'works-stronger') },
      { title: 'Still open', entries: standing('unsure') },
      { title: 'Ruled out, and why', entries: standing('no') },
    ],
    unseen: entries.filter((entry) => entry.standing === null),
  }
}

export type SheetEntry = Awaited<ReturnType<typeof loadRoomSheet>>['unseen'][number]
