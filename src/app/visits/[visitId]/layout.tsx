import type { Metadata } from 'next'
import { boardsLeft } from '@/core/boards/boards-left'
import { aspectOf } from '@/core/light/aspect'
import { isJudgedAgainst, settlesColours } from '@/core/pairing/keeper-kind'
import { daylightFactorPercent, dimness } from '@/core/light/daylight-factor'
import { cellSays } from '@/core/record/cell'
import { seenPairOf } from '@/core/record/progress'
import { pairsSaid, settledBy } from '@/core/round/round'
import { nextToSweep, sweepOf } from '@/core/round/sweep'
import { buildId } from '@/app/_load/build'
import { looksOf } from '@/app/_load/house-grid'
import { standingRulings, surfacesOfRoom } from '@/app/_load/rulings'
import {
  findVisitById,
  isUpIn,
  loadBoards,
  loadCandidates,
  loadEyeInForce,
  loadKeepers,
  loadLastSeq,
  loadLooksThatCount,
  loadRulings,
  loadSweeps,
  loadVisit,
} from '@/app/_load/visit-page'
import { paintAddress } from '@/ui/frame/paint-address'
import type { FrameRoom } from '@/ui/frame/steps'
import { VisitFrame } from '@/ui/frame/visit-frame'
import { TakeAlong } from '@/ui/record/take-along'
import { VisitRecordProvider } from '@/ui/record/visit-record'
import { counted } from '@/core/words'

// What counts in the record is paint, by day first.
const BY_DAY = 'samples by day'

interface Props {
  readonly children: React.ReactNode
  readonly params: Promise<{ visitId: string }>
}

export async function generateMetadata({ params }: Props): Promise<Metadata> {
  const visit = await findVisitById((await params).visitId)
  return { title: visit?.household ?? 'Nothing here' }
}

export default async function VisitLayout({ children, params }: Props) {
  const { visit, rooms } = await loadVisit((await params).visitId)
  const keepers = await loadKeepers(visit.id)
  const candidates = await loadCandidates(visit.id)
  const rulings = await loadRulings(visit.id)
  const standing = standingRulings(rulings)
  const ruledWords = (roomId: string): string => {
    const surfaces = surfacesOfRoom(candidates, rulings, roomId)
    const ruled = standing.filter((each) => each.roomId === roomId)
    return surfaces.length === 0 ? '' : `${ruled.length} of ${surfaces.length}`
  }
  const looks = await loadLooksThatCount(visit.id)
  const seen = looks.flatMap(seenPairOf)
  const boards = await loadBoards(visit.id)
  const sweeps = await loadSweeps(visit.id)
  const goingIn = (roomId: string): string[] =>
    candidates
      .filter(
        ({ ruledOut, proposals }) =>
          ruledOut === null &&
          proposals.some((each) => each.roomId === roomId && each.status === 'going to board'),
      )
      .map(({ id }) => id)

  const frameRooms = rooms.map((room): FrameRoom => {
    const judged = keepers.filter((k) => k.roomIds.includes(room.id) && isJudgedAgainst(k.state))
    const up = candidates.filter((candidate) => isUpIn(candidate, room.id))
    const keepersHere = judged.map((k) => ({ id: k.id, name: k.name, settles: settlesColours(k) }))
    const upIds = up.map(({ id }) => id)
    const looksHere = looks.filter((look) => look.roomId === room.id)
    const saidOf = pairsSaid(looksHere, BY_DAY)
    const past = nextToSweep(
      sweepOf(
        keepersHere,
        upIds,
        looksHere,
        sweeps.filter((sweep) => sweep.roomId === room.id),
        BY_DAY,
      ),
    )
    const left = boardsLeft(room.id, goingIn(room.id), boards, looks)
    return {
      id: room.id,
      name: room.name,
      bearingsDeg: room.windows.map((window) => window.bearingDeg),
      aspectWords: aspectOf(room).join(' and ') || 'no window',
      dimness: dimness(daylightFactorPercent(room)),
      toSee: {
        id: room.id,
        keeperIds: judged.map(({ id }) => id),
        candidateIds: upIds,
        settledIds: [...settledBy(keepersHere, upIds, saidOf).keys()],
      },
      soFar: {
        hasLight: room.windows.length + room.lamps.length > 0,
        boards: left,
        sweepPast: keepersHere.find(({ id }) => id === past)?.name ?? null,
        works: up.some(({ id }) => cellSays(looksOf(looks, id, room.id)).verdict === 'works'),
        open: surfacesOfRoom(candidates, rulings, room.id).filter(
          (surface) =>
            !standing.some((each) => each.roomId === room.id && each.surface === surface),
        ),
        ruled: standing.filter((each) => each.roomId === room.id).length,
      },
      done: {
        light:
          room.windows.length + room.lamps.length > 0
            ? counted(room.windows.length, 'window')
            : 'to set up',
        keepers: judged.length > 0 ? `${judged.length} to suit` : 'none yet',
        lead: keepers.find(({ id }) => id === room.leadKeeperId)?.name ?? '',
        shortlist: up.length > 0 ? `${up.length} proposed` : 'none yet',
        trial: '',
        boards: boardWords(left),
        around: '',
        ruling: ruledWords(room.id),
      },
    }
  })
  return (
    <VisitRecordProvider visitId={visit.id} seq={await loadLastSeq(visit.id)}>
      <TakeAlong build={buildId()} visitId={visit.id} />
      <VisitFrame
        visitId={visit.id}
        household={visit.household}
        rooms={frameRooms}
        seen={distinct(seen)}
        eyeVersion={(await loadEyeInForce())?.version ?? null}
        toFetch={
          candidates.filter(
            ({ ruledOut, proposals }) =>
              ruledOut === null && proposals.some(({ status }) => status === 'to fetch'),
          ).length
        }
        destinations={[
          ...keepers.flatMap(({ id, name, roomIds }) =>
            rooms
              .filter((room) => roomIds.includes(room.id))
              .map((room) => ({
                kind: 'keeper' as const,
                href: `/visits/${visit.id}/rooms/${room.id}/keepers#${id}`,
                name,
                says: room.name,
              })),
          ),
          ...candidates.flatMap((candidate) =>
            rooms
              .filter((room) => isUpIn(candidate, room.id))
              .map((room) => ({
                kind: 'candidate' as const,
                href: paintAddress(
                  { visitId: visit.id, roomId: room.id },
                  candidate.deckColourId,
                  candidate.strengthPercent,
                ),
                name: `${candidate.code} ${candidate.name} at ${candidate.strengthPercent} %`,
                says: room.name,
              })),
          ),
        ]}
      >
        {children}
      </VisitFrame>
    </VisitRecordProvider>
  )
}

const boardWords = ({ toPaint, toLookAt }: ReturnType<typeof boardsLeft>): string =>
  toPaint > 0 ? `${toPaint} to paint` : toLookAt > 0 ? `${toLookAt} to look at` : ''

/** Each pair once: what is sent to the browser is no longer than it must be. */
const distinct = <T extends object>(pairs: readonly T[]): T[] => [
  ...new Map(pairs.map((pair) => [Object.values(pair).join(), pair])).values(),
]
