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

export const Since = object({
  seq: number(),
  changes: array(object({ device: string() })),
})

export const PhotoAnswer = discriminatedUnion('ok', [
  object({ ok: literal(true), hash: string() }),
  object({ ok: literal(false), message: string() }),
])
