import { isPrintedOff, lrvPercent } from '@/core/paint/lrv'
import { reflectanceOfReading } from '@/core/paint/reading'
import { guessMapping } from '@/core/deck/deck-mapping'
import type { DeckTable } from '@/core/deck/deck-file'
import { openDeckTable } from '@/formats/deck-table'
import { readDeck, type DeckColour } from '@/formats/read-deck'
import type { DeckFileReply, DeckFileRequest } from './deck-file-protocol'

const say = (reply: DeckFileReply): void => postMessage(reply)

let table: DeckTable | null = null
let colours: readonly DeckColour[] = []

const SAMPLE = 24

addEventListener('message', ({ data }: MessageEvent<DeckFileRequest>) => {
  const { id } = data
  if ('open' in data) {
    const opened = openDeckTable(data.open)
    if (!opened.ok) return say({ id, refused: opened.errors })
    table = opened.table
    const { rows, ...rest } = opened.table
    return say({ id, opened: { ...rest, lines: rows.length, guessed: guessMapping(table) } })
  }
  if ('read' in data) return read(data)
  say({ id, colours: colours.slice(data.from, data.from + data.count) })
})

function read({
  id,
  read: mapping,
  mended,
  leftOut,
}: Extract<DeckFileRequest, { read: unknown }>): void {
  if (!table) return
  const cellsOf = new Map(table.rows.map(({ line, cells }) => [line, cells]))
  const lines = new Map(mended)
  const reading = readDeck(table, mapping, { lines, leftOut: new Set(leftOut) })
  let step = reading.next()
  while (!step.done) {
    say({ id, done: step.value })
    step = reading.next()
  }
  const { errors } = step.value
  colours = step.value.colours
  const every = Math.max(1, Math.floor(colours.length / SAMPLE))
  say({
    id,
    readFile: {
      count: colours.length,
      wrong: errors.map((error) => ({
        ...error,
        cells: lines.get(error.line) ?? cellsOf.get(error.line) ?? [],
      })),
      sample: colours
        .filter((_, i) => i % every === 0)
        .slice(0, SAMPLE)
        .map((colour) => ({
          ...colour,
          bands: Float32Array.from(reflectanceOfReading(colour.reading)),
        })),
      lrvOff: colours.flatMap(({ code, printedLrvPercent, reading: own }) => {
        if (printedLrvPercent === null) return []
        const here = lrvPercent(reflectanceOfReading(own))
        return isPrintedOff(printedLrvPercent, here)
          ? [{ code, printed: printedLrvPercent, read: here }]
          : []
      }),
    },
  })
}
