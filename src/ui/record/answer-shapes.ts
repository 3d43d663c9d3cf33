import {
  array,
  discriminatedUnion,
  literal,
  nullable,
  number,
  object,
  string,
  uuid,
} from 'zod/mini'

// What the server answers to what pages ask by themselves. Fetched when the first answer comes: no page waits for it.

export const Bundle = object({
  version: string(),
  pages: array(string()),
  steadies: array(string()),
})

export const LastChange = nullable(object({ id: uuid(), sentence: string() }))

/** The places of a visit's changes since one. */
export const Since = object({ places: array(number()) })

export const PhotoAnswer = discriminatedUnion('ok', [
  object({ ok: literal(true), hash: string() }),
  object({ ok: literal(false), message: string() }),
])
