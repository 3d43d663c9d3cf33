import { rankedRoomOf } from '@/core/ranking/asked-room'
import { bestCompromise } from '@/core/ranking/best-compromise'
import { rankForRoom } from '@/core/ranking/rank-for-room'
import type { RankReply, RankRequest } from './rank-protocol'

const say = (reply: RankReply): void => postMessage(reply)

addEventListener('message', ({ data }: MessageEvent<RankRequest>) => {
  const room = rankedRoomOf(data.room, data.roomDay)
  const { id, deck, most } = data
  const ranked = rankForRoom(deck, room, most, (done) => say({ id, done }))
  say({ id, ranked, compromise: bestCompromise(ranked, deck, room) })
})
