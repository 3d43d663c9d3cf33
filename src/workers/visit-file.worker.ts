import { writeVisitFile, type VisitFile } from '../formats/visit-file'
import { answerInThread } from './answer-in-thread'
import type { VisitFileRequest } from './visit-file-protocol'

type Row = VisitFile['decks'][number]['deck']

answerInThread(({ head, tables, decks, photos }: VisitFileRequest): Uint8Array => {
  const colour = (row: Row): readonly [string, number] => [
    String(row.strip),
    Number(row.strip_position),
  ]
  return writeVisitFile(
    {
      ...head,
      tables: Object.fromEntries(tables.map(([name, rows]) => [name, JSON.parse(rows) as Row[]])),
      decks: decks.map(({ deck, colours }) => ({
        deck: JSON.parse(deck) as Row,
        // Strip by strip, as a person reads them.
        colours: colours
          .flatMap((page) => JSON.parse(page) as Row[])
          .sort((p, q) => {
            const [[strip, at], [other, place]] = [colour(p), colour(q)]
            return strip === other ? at - place : strip < other ? -1 : 1
          }),
      })),
    },
    photos,
  )
})
