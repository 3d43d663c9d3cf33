// node scripts/room-figures.ts PATHS: what the room's light is checked by, as JSON.
import { roomFigures } from '../src/core/room/room-figures.fixture'

console.log(JSON.stringify(roomFigures(Number(process.argv[2] ?? 300))))
