import type { Look } from '@/core/record/look'
import { arrivingPairs, lookAtPair } from '@/core/round/arriving'
import { isJudgedAgainst } from '@/core/pairing/keeper-kind'
import { lightSaid } from '@/core/record/look-words'
import type { Visit } from '@/db/visits'
import { localDay } from '@/time/local-day'
import { loadFinishLooks, loadKeepersInRoom } from './visit-page'

/** What arrives in a room beside what stays there, each pair as the record has it, in words. */
export async function loadArriving(visit: Visit, roomId: string) {
  const keepers = (await loadKeepersInRoom(visit.id, roomId)).filter(({ state }) =>
    isJudgedAgainst(state),
  )
  const looks = (await loadFinishLooks(visit.id)).filter((look) => look.roomId === roomId)
  const nameOf = (id: string): string => keepers.find((keeper) => keeper.id === id)?.name ?? ''
  const light = (of: Look['light']): string =>
    lightSaid(of, visit, (date) => localDay(date, visit.timeZone))
  return arrivingPairs(keepers).map((pair) => {
    const look = lookAtPair(looks, pair)
    return {
      key: `${pair.arrivingId} ${pair.besideId}`,
      words: `${nameOf(pair.arrivingId)} beside ${nameOf(pair.besideId)}`,
      verdict: look && look.seenAs === 'sample' ? look.verdict : null,
      says: look
        ? `${look.verdict}${look.seenAs === 'screen' ? ' on the screen' : ''}, ${light(look.light)}`
        : 'not held together yet',
    }
  })
}
