import { z } from 'zod'
import { putRow, rowNow, takeRowOut, type RecordEvent } from '../db/codec'
import { eventsOfCommand, findCommand, laterCommand, markUndone, standingOn } from '../db/commands'
import type { Db } from '../db/db'
import { kind, Refusal } from './kind'
import { id } from './values'

/**
 * Any change taken back: what it wrote, backwards, each row to what it was, as long as nothing later stands on it. What it
 * brought goes out of sight and stays. Taking back an undo makes the change again.
 */
export const undo = kind({
  payload: z.object({ visitId: id.nullable(), commandId: id }),
  visitOf: ({ visitId }) => visitId,
  begins: true,
  async write(tx, { visitId, commandId }, { receivedAt, commandId: own }) {
    const target = await findCommand(tx, commandId)
    if (!target || target.visitId !== visitId)
      throw new Refusal(`There is no such change in ${visitId ? 'this visit' : 'the settings'}.`)
    // Its decks may be in use by now; and a whole visit goes by a key of its own.
    if (target.kind === 'import-visit')
      throw new Refusal('What was read from a file stays; the visit is removed in its brief.')
    if (target.undoneBy) throw new Refusal('It was taken back already.')
    const events = await eventsOfCommand(tx, commandId)
    if (events.length === 0)
      throw new Refusal('It changed nothing, so there is nothing to take back.')
    for (const event of events.toReversed()) await takeBack(tx, event, commandId, receivedAt)
    await markUndone(tx, target, own)
  },
  sentence: ({ commandId }, nameOf) => `Undone: ${nameOf(commandId)}`,
})

async function takeBack(
  tx: Db,
  event: RecordEvent,
  commandId: string,
  receivedAt: string,
): Promise<void> {
  const { subject, before, after } = event
  const now = await rowNow(tx, subject, (after ?? before)!)
  // What was said of a look since goes with it.
  const isOwn = subject === 'look' && before === null && now !== null
  const isAsLeft = isOwn || (after ? now?.isEqual === true : now === null)
  if (!isAsLeft) throw new StandsLaterRefusal(await laterCommand(tx, event))
  if (before) return putRow(tx, subject, before)
  const later = await standingOn(tx, event, commandId)
  if (later) throw new StandsLaterRefusal(later)
  await takeRowOut(tx, subject, after!, receivedAt)
}

/** Thrown out of a command, `apply` fills in what the later change was. */
export class StandsLaterRefusal extends Refusal {
  constructor(readonly laterCommandId: string | null) {
    super('Something that was changed later stands on it.')
  }
}
