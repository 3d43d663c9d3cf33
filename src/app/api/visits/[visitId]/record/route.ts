import { JUDGEMENT_WORDS } from '@/core/pairing/chance'
import { lookWordsOf } from '@/app/_load/house-grid'
import { handedPaint } from '@/app/_load/hand-off'
import {
  findVisitById,
  loadCandidates,
  loadDecks,
  loadStandingLooks,
  loadVisit,
} from '@/app/_load/visit-page'
import { seenSaid } from '@/core/record/look-words'
import { VERDICT_WORDS, REASON_WORDS } from '@/core/record/verdict'
import { writeRecordCsv } from '@/formats/record-csv'

/** The record of a visit as CSV, a look a line. */
export async function GET(
  _: Request,
  { params }: { params: Promise<{ visitId: string }> },
): Promise<Response> {
  const { visitId } = await params
  if (!(await findVisitById(visitId)))
    return new Response('There is no such visit.', { status: 404 })
  const { visit, rooms } = await loadVisit(visitId)
  const decks = await loadDecks()
  const candidates = await loadCandidates(visit.id)
  const words = await lookWordsOf(visit)
  const csv = writeRecordCsv(
    (await loadStandingLooks(visit.id)).map((look) => {
      const { maker, deck, code, name, strengthPercent } = handedPaint(
        candidates.find(({ id }) => id === look.candidate.candidateId)!,
        decks,
      )
      return {
        room: rooms.find(({ id }) => id === look.roomId)!.name,
        ...{ maker, deck, code, name, strengthPercent },
        sheen: look.candidate.sheen,
        beside: words.against(look),
        light: words.light(look),
        how: seenSaid(look),
        verdict: look.verdict ? VERDICT_WORDS[look.verdict] : '',
        reasons: look.reasons.map((reason) => REASON_WORDS[reason]).join('; '),
        lean: look.lean ?? '',
        note: look.note,
        client: look.client ? [look.client.says, look.client.words].filter(Boolean).join(': ') : '',
        model: look.model ? JUDGEMENT_WORDS[look.model.judgement] : '',
        by: look.by,
        madeAt: look.madeAt,
      }
    }),
  )
  return new Response(csv, {
    headers: {
      'content-type': 'text/csv; charset=utf-8',
      'content-disposition': 'attachment; filename="record.csv"',
    },
  })
}
