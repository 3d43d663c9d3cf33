import { randomUUID } from 'node:crypto'
import { PLAIN_KEEPER, saveKeeper } from '../../src/db/keepers'
import { openStore } from '../../src/db/store'

// Adds four keepers of five colours to a room; with the kitchen's own that makes 24 swatches: node --import tsx full-room.ts DIRECTORY ROOM

const KEEPERS = 4
const COLOURS = 5

const [, , dataDir, roomId] = process.argv
if (!dataDir || !roomId) throw new Error('expected a data directory and a room')
const store = await openStore(dataDir)
for (let keeper = 0; keeper < KEEPERS; keeper++)
  await saveKeeper(
    store.db,
    {
      ...PLAIN_KEEPER,
      id: randomUUID(),
      roomId,
      name: `Finish ${keeper + 1}`,
      kind: 'tile',
    },
    Array.from({ length: COLOURS }, (_, colour) => ({
      part: `part ${colour + 1}`,
      sharePercent: 100 / COLOURS,
      reading: { kind: 'lab', lab: [35 + 8 * keeper, 4 * colour - 6, 12 - 3 * keeper] },
    })),
  )
await store.close()
