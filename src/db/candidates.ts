import { z } from 'zod'
import { many, type Db } from './db'
import { DECK_COLOUR_COLUMNS, DeckColourColumns, deckColourFromColumns } from './decks'

const CandidateRow = DeckColourColumns.extend({
  id: z.uuid(),
  strengthPercent: z.number(),
}).transform(({ id, strengthPercent, ...colour }) => ({
  id,
  strengthPercent,
  ...deckColourFromColumns(colour),
}))
export type Candidate = z.infer<typeof CandidateRow>

/** Candidates of a visit in the order they were taken up. */
export function listCandidates(db: Db, visitId: string): Promise<Candidate[]> {
  return many(
    db,
    CandidateRow,
    `select c.id, c.strength_percent as "strengthPercent", ${DECK_COLOUR_COLUMNS}
     from candidate c join deck_colour d on d.id = c.deck_colour_id
     where c.visit_id = $1 order by c.added_at, d.code, c.strength_percent desc`,
    [visitId],
  )
}

export interface NewCandidate {
  readonly id: string
  readonly visitId: string
  readonly deckColourId: string
  readonly strengthPercent: number
}

/** Takes a colour up at a strength; taking the same up again changes nothing. */
export async function addCandidate(db: Db, candidate: NewCandidate): Promise<void> {
  await db.query(
    `insert into candidate (id, visit_id, deck_colour_id, strength_percent, added_at)
     values ($1, $2, $3, $4, clock_timestamp()) on conflict do nothing`,
    [candidate.id, candidate.visitId, candidate.deckColourId, candidate.strengthPercent],
  )
}

/**
 * Drops a candidate that has not been looked at.
 *
 * @returns false when looks were kept of it: they are the record, and stay
 */
export async function dropCandidate(db: Db, id: string): Promise<boolean> {
  const dropped = await db.query(
    `delete from candidate where id = $1
       and not exists (select from look where look.candidate_id = candidate.id) returning id`,
    [id],
  )
  return dropped.length > 0
}
