import { buildId } from '@/app/_load/build'
import {
  findVisitById,
  loadDecks,
  loadEyeInForce,
  loadKeepers,
  loadLastSeq,
  loadVisit,
} from '@/app/_load/visit-page'
import { SHEET_KINDS } from '@/core/sheet/sheet-document'
import { MODEL_VERSION } from '@/core/model-version'
import { HOUSE_STEPS, ROOM_STEPS, VISIT_STEPS } from '@/ui/frame/steps'

/**
 * What of a visit a device takes along: the addresses of its pages, its decks and photos, and the version they are of, which is
 * another with each change, each build and each eye that is judged with.
 */
export async function GET(
  request: Request,
  { params }: { params: Promise<{ visitId: string }> },
): Promise<Response> {
  const { visitId } = await params
  if (!(await findVisitById(visitId)))
    return Response.json({ message: 'There is no such visit.' }, { status: 404 })
  const { visit, rooms } = await loadVisit(visitId)
  const base = `/visits/${visit.id}`
  const first = new URL(request.url).searchParams.get('room')
  const ordered = rooms.toSorted((p, q) => Number(q.id === first) - Number(p.id === first))
  const photos = (await loadKeepers(visit.id)).flatMap(({ photoHash, patchHash }) =>
    [photoHash, patchHash].filter((hash) => hash !== null),
  )
  return Response.json(
    {
      version: [
        buildId(),
        await loadLastSeq(visit.id),
        (await loadEyeInForce())?.version ?? 0,
      ].join(' '),
      pages: [
        ...ordered.flatMap(({ id }) =>
          [...ROOM_STEPS, 'sheet'].map((step) => `${base}/rooms/${id}/${step}`),
        ),
        ...ordered.map(({ id }) => `/api${base}/rooms/${id}/inside`),
        ...[...VISIT_STEPS, ...HOUSE_STEPS]
          // It leads to the first of those below.
          .filter((step) => step !== 'sheets')
          .map((step) => `${base}/${step}`),
        ...SHEET_KINDS.map((kind) => `${base}/sheets/${kind}`),
        '/',
      ],
      steadies: [
        ...(await loadDecks()).flatMap(({ id }) =>
          ['colours', 'reflectances'].map(
            (what) => `/api/decks/${id}/${what}?model=${MODEL_VERSION}`,
          ),
        ),
        ...photos.map((hash) => `/api/photos/${hash}`),
      ],
    },
    { headers: { 'cache-control': 'no-store' } },
  )
}
