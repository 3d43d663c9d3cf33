import { rankedRoomOf } from '@/core/ranking/asked-room'
import { bestCompromise } from '@/core/ranking/best-compromise'
import { rankForRoom } from '@/core/ranking/rank-for-room'
import type { RankReply, RankRequest } from './rank-protocol'

addEventListener('message', ({ data }: MessageEvent<RankRequest>) => {
  const room = rankedRoomOf(data.room, data.roomDay)
  const ranked = rankForRoom(data.deck, room, data.most)
  const reply: RankReply = {
    id: data.id,
    ranked,
    compromise: bestCompromise(ranked, data.deck, room),
  }
  postMessage(reply)
})
