import { randomUUID } from 'node:crypto'
import { apply } from '../../src/commands/apply'
import { openStore } from '../../src/store/store'

// Adds four keepers of five colours to a room; with the kitchen's own that makes 24 swatches: node --import tsx full-room.ts DIRECTORY VISIT ROOM

const KEEPERS = 4
const COLOURS = 5

const [, , dataDir, visitId, roomId] = process.argv
if (!dataDir || !visitId || !roomId)
  throw new Error('expected a data directory, a visit and a room')
const store = await openStore(dataDir)
const now = new Date().toISOString()
for (let keeper = 0; keeper < KEEPERS; keeper++) {
  const payload = {
    visitId,
    roomId,
    keeperId: randomUUID(),
    roomIds: [],
    name: `Finish ${keeper + 1}`,
    kind: 'tile',
    state: 'staying',
    place: '',
    note: '',
    varies: false,
    replacedBy: '',
    viewShare: 'some',
    dearness: null,
    photoHash: null,
    colours: Array.from({ length: COLOURS }, (_, colour) => ({
      part: `part ${colour + 1}`,
      sharePercent: 100 / COLOURS,
      source: null,
      reading: { kind: 'lab', lab: [35 + 8 * keeper, 4 * colour - 6, 12 - 3 * keeper] },
    })),
  }
  const command = { id: randomUUID(), kind: 'keep-keeper', payload }
  const answer = await apply(
    store.db,
    { ...command, actor: 'bench', device: 'bench', madeAt: now },
    now,
  )
  if (!answer.ok) throw new Error(answer.message)
}
await store.close()
