import type { z } from 'zod'
import type { Db } from '../db/db'
import type { OwnWords } from '../db/settings'

/** Who made a change, with what, and when by which clock. */
export interface Circumstances {
  readonly commandId: string
  readonly actor: string
  /** By the clock of the device, as an instant. */
  readonly madeAt: string
  /** By the clock of the server. */
  readonly receivedAt: string
}

/** Names for a sentence: of a room, a keeper, a candidate or a deck, by id. */
export type NameOf = (id: string) => string

/** What a change is not made for, in words, by field where one is wrong. */
export class Refusal extends Error {
  override name = 'Refusal'
  constructor(
    message: string,
    readonly fields: Readonly<Record<string, string>> = {},
  ) {
    super(message)
  }
}

/** A change that can be made: what it takes, what it writes, how the history tells it. */
export interface Kind<P> {
  readonly payload: z.ZodType<P>
  /** The visit it belongs to; null where it belongs to none. */
  readonly visitOf: (payload: P) => string | null
  /** It begins a visit: there need not be one yet. */
  readonly begins?: true
  /** What was seen is kept whatever was taken out meanwhile. */
  readonly observes?: true
  /**
   * Writes it, without a clock, chance or a model of its own.
   *
   * @returns a text where there is something to say of how it was kept
   * @throws Refusal
   */
  readonly write: (tx: Db, payload: P, at: Circumstances) => Promise<unknown>
  /**
   * What of a payload is kept with the change, where the events have the rest: once is enough. The same id sent again is known by
   * the hash of the whole.
   */
  readonly keeps?: (payload: P) => unknown
  /** What is said where a unique index refuses it, by the name of the index. */
  readonly taken?: Readonly<Record<string, (payload: P) => Refusal>>
  readonly sentence: (payload: P, nameOf: NameOf, own: OwnWords) => string
}

/** Declares a kind; what its functions take follows from its payload. */
export const kind = <S extends z.ZodType>(
  of: Omit<Kind<z.infer<S>>, 'payload'> & { readonly payload: S },
): Omit<Kind<z.infer<S>>, 'payload'> & { readonly payload: S } => of
