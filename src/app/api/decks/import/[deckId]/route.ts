import { z } from 'zod'
import { taking } from '@/app/writing'
import { reflectanceOfReading } from '@/core/paint/reading'
import { SHEENS } from '@/core/paint/sheen'
import { BASES } from '@/core/paint/strength'
import { COLOURS_AT_A_TIME, deckStatus, discardDeck } from '@/db/decks'
import { openDb } from '@/store/store'
import { TEXT_CELLS } from '@/formats/read-deck'
import { addWithBands } from '../../take-deck-in'
import { refuse } from '../answer'
import { rememberGivenUp } from '../given-up'

// Twice what so many colours with long names and spectra of 1 nm come to.
const MOST_BYTES = 40_000_000

const MOST_BANDS = 600
const reading = z
  .discriminatedUnion('kind', [
    z.object({ kind: z.literal('lab'), lab: z.tuple([z.number(), z.number(), z.number()]) }),
    z.object({ kind: z.literal('srgb'), hex: z.string().regex(/^#[0-9a-f]{6}$/) }),
    z.object({
      kind: z.literal('spectral'),
      wavelengthsNm: z.array(z.number()).max(MOST_BANDS),
      reflectance: z.array(z.number()).max(MOST_BANDS),
    }),
  ])
  .superRefine((value, context) => {
    try {
      reflectanceOfReading(value)
    } catch (error) {
      if (!(error instanceof RangeError)) throw error
      context.addIssue({ code: 'custom', message: error.message })
    }
  })

const Colours = z.object({
  colours: z
    .array(
      z.object({
        ...TEXT_CELLS,
        base: z.enum(BASES),
        reading,
        printedLrvPercent: z.number().min(0).max(100).nullable(),
        sheens: z.array(z.enum(SHEENS)).nullable(),
        mayBeRefused: z.boolean(),
      }),
    )
    .min(1)
    .max(COLOURS_AT_A_TIME),
})

interface Context {
  readonly params: Promise<{ deckId: string }>
}

/** Some more colours of a deck that is on its way. What is sent is read again: the server trusts nobody. */
export const POST = taking<Context>(
  { takes: 'colours of a deck', mostBytes: MOST_BYTES },
  async (request, { params }) => {
    const { deckId } = await params
    const input = Colours.safeParse(await request.json().catch(() => null))
    if (!input.success) {
      const [issue] = input.error.issues
      return refuse(422, { message: `${issue!.path.join(' ')}: ${issue!.message}` })
    }
    if (
      !z.uuid().safeParse(deckId).success ||
      (await deckStatus(await openDb(), deckId)) !== 'importing'
    )
      return refuse(409, { message: 'That import is not running; start it again.' })
    await addWithBands(deckId, input.data.colours)
    return Response.json({ ok: true })
  },
)

/** Gives an import up: nothing of it stays. */
export const DELETE = taking<Context>(
  { takes: 'decks', mostBytes: 0, keeps: false },
  async (_, { params }) => {
    const { deckId } = await params
    if (z.uuid().safeParse(deckId).success) {
      rememberGivenUp(deckId)
      await discardDeck(await openDb(), deckId)
    }
    return Response.json({ ok: true })
  },
)
