import { z } from 'zod'
import { taking } from '@/app/writing'
import { beginDeck, deckStatus, discardDeck, listDecks } from '@/db/decks'
import { openDb } from '@/store/store'
import { nameValue, numberValue } from '@/ui/form/form-values'
import { refuse } from './answer'
import { wasGivenUp } from './given-up'

const BeginForm = z.object({
  deckId: z.uuid(),
  maker: nameValue('the maker'),
  name: nameValue('the name of the deck'),
  baseL: numberValue(80, 100, ''),
  baseA: numberValue(-10, 10, ''),
  baseB: numberValue(-10, 10, ''),
})

/** Begins a deck whose colours follow, some at a time; nobody sees it until the change that opens it. */
export const POST = taking({ takes: 'decks', mostBytes: 10_000 }, async (request) => {
  const input = BeginForm.safeParse(await request.json().catch(() => null))
  if (!input.success)
    return refuse(422, {
      fields: Object.fromEntries(
        input.error.issues.map((issue) => [String(issue.path[0] ?? 'maker'), issue.message]),
      ),
    })
  const db = await openDb()
  const { deckId, maker, name, baseL, baseA, baseB } = input.data
  if ((await deckStatus(db, deckId)) === 'ready')
    return refuse(409, { fields: { name: 'This deck was imported already.' } })
  if ((await listDecks(db)).some((deck) => deck.maker === maker && deck.name === name))
    return refuse(409, { fields: { name: `${maker} has a deck “${name}” already.` } })
  await beginDeck(db, deckId, { maker, name, whiteBase: [baseL, baseA, baseB] })
  // Asked once it is there: given up after this, it is thrown away by whoever gives it up.
  if (wasGivenUp(deckId)) {
    await discardDeck(db, deckId)
    return refuse(409, { message: 'That import was given up; start it again.' })
  }
  return Response.json({ ok: true })
})
