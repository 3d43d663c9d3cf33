import type { DeckMapping } from '@/core/deck/deck-mapping'
import type { DeckTable, LineError } from '@/core/deck/deck-file'
import type { DeckColour } from '@/formats/read-deck'

/** What is asked of a file, which stays in the worker. */
export type DeckFileRequest =
  | { readonly id: number; readonly open: Uint8Array<ArrayBuffer> }
  | {
      readonly id: number
      readonly read: DeckMapping
      readonly mended: readonly (readonly [line: number, cells: readonly string[]])[]
      readonly leftOut: readonly number[]
    }
  /** Colours of the last reading from this one on, so many. */
  | { readonly id: number; readonly from: number; readonly count: number }

/** A file that was opened: what it is, and its first lines. */
export interface OpenedFile extends Omit<DeckTable, 'rows'> {
  readonly lines: number
  readonly guessed: DeckMapping
}

/** A wrong line with its cells, to be mended. */
export interface WrongLine extends LineError {
  readonly cells: readonly string[]
}

export interface ReadFile {
  readonly count: number
  readonly wrong: readonly WrongLine[]
  /** Some colours of it, light to deep through the file, with their reflectances. */
  readonly sample: readonly (DeckColour & { readonly bands: Float32Array<ArrayBuffer> })[]
  /** Lines whose printed LRV lies off the reading. */
  readonly lrvOff: readonly {
    readonly code: string
    readonly printed: number
    readonly read: number
  }[]
}

export type DeckFileReply =
  | { readonly id: number; readonly done: number }
  | { readonly id: number; readonly opened: OpenedFile }
  | { readonly id: number; readonly refused: readonly LineError[] }
  | { readonly id: number; readonly readFile: ReadFile }
  | { readonly id: number; readonly colours: readonly DeckColour[] }
