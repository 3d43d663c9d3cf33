import { z } from 'zod'
import { SHEENS, type Sheen } from '../core/paint/sheen'
import {
  PROPOSAL_STATUSES,
  SURFACES,
  type ProposalStatus,
  type Surface,
} from '../core/record/proposal'
import { done, many, type Db } from './db'
import { DECK_COLOUR_COLUMNS, DeckColourColumns, deckColourFromColumns } from './decks'

const ProposalShape = z.object({
  id: z.uuid(),
  roomId: z.uuid(),
  surface: z.enum(SURFACES),
  sheen: z.enum(SHEENS),
  status: z.enum(PROPOSAL_STATUSES),
  reason: z.string(),
})

const CandidateRow = DeckColourColumns.extend({
  id: z.uuid(),
  strengthPercent: z.number(),
  /** Why it is out for the whole house; null where it is not. */
  ruledOut: z.string().nullable(),
  /** Dropped from sight: kept for the looks at it. */
  dropped: z.boolean(),
  /** For which surfaces of which rooms. */
  proposals: z.array(ProposalShape),
}).transform(({ id, strengthPercent, ruledOut, dropped, proposals, ...colour }) => ({
  id,
  strengthPercent,
  ruledOut,
  dropped,
  proposals,
  ...deckColourFromColumns(colour),
}))
export type Candidate = z.infer<typeof CandidateRow>

/** Candidates of a visit in the order they were taken up, each with what it is proposed for; also the dropped ones. */
export function listAllCandidates(db: Db, visitId: string): Promise<Candidate[]> {
  return many(
    db,
    CandidateRow,
    `select c.id, c.strength_percent as "strengthPercent", c.ruled_out as "ruledOut",
       c.removed_at is not null as dropped, ${DECK_COLOUR_COLUMNS},
       coalesce((select json_agg(json_build_object('id', p.id, 'roomId', p.room_id, 'surface', p.surface,
           'sheen', p.sheen, 'status', p.status, 'reason', p.reason) order by r.position, r.name, p.surface)
         from proposal p join room r on r.id = p.room_id
         where p.candidate_id = c.id and p.removed_at is null and r.removed_at is null), '[]') as proposals
     from candidate c join deck_colour d on d.id = c.deck_colour_id
     where c.visit_id = $1 order by c.added_at, d.code, c.strength_percent desc`,
    [visitId],
  )
}

/**
 * Takes a colour up at a strength, or up again, and proposes it for a surface of a room.
 *
 * @returns false where the room is not in the visit
 */
export async function takeUpCandidate(
  tx: Db,
  taken: {
    readonly visitId: string
    readonly candidateId: string
    readonly deckColourId: string
    readonly strengthPercent: number
    readonly roomId: string
    readonly proposalId: string
    readonly surface: Surface
    readonly sheen: Sheen
    readonly status: ProposalStatus
    readonly reason: string
  },
  at: string,
): Promise<boolean> {
  const [candidate] = await many(
    tx,
    z.object({ id: z.uuid() }),
    `insert into candidate (id, visit_id, deck_colour_id, strength_percent, added_at)
     values ($1, $2, $3, $4, $5::timestamptz)
     on conflict (visit_id, deck_colour_id, strength_percent) do update set removed_at = null, ruled_out = null
     returning id`,
    [taken.candidateId, taken.visitId, taken.deckColourId, taken.strengthPercent, at],
  )
  return saveProposal(tx, { ...taken, candidateId: candidate!.id, withdrawn: false }, at)
}

/**
 * A candidate for a colour at a strength that is proposed for nothing yet; the one there is, else a new one.
 *
 * @returns its id
 */
export async function candidateFor(
  tx: Db,
  visitId: string,
  wanted: {
    readonly candidateId: string
    readonly deckColourId: string
    readonly strengthPercent: number
  },
  at: string,
): Promise<string> {
  const [candidate] = await many(
    tx,
    z.object({ id: z.uuid() }),
    `insert into candidate (id, visit_id, deck_colour_id, strength_percent, added_at)
     values ($1, $2, $3, $4, $5::timestamptz)
     on conflict (visit_id, deck_colour_id, strength_percent) do update set removed_at = null
     returning id`,
    [wanted.candidateId, visitId, wanted.deckColourId, wanted.strengthPercent, at],
  )
  return candidate!.id
}

/**
 * Says how a candidate stands with a surface of a room.
 *
 * @returns false where the room or the candidate is not in the visit
 */
export async function saveProposal(
  tx: Db,
  proposal: {
    readonly visitId: string
    readonly proposalId: string
    readonly candidateId: string
    readonly roomId: string
    readonly surface: Surface
    readonly sheen: Sheen
    readonly status: ProposalStatus
    readonly reason: string
    readonly withdrawn: boolean
  },
  at: string,
): Promise<boolean> {
  return done(
    await tx.query(
      `insert into proposal (id, room_id, candidate_id, surface, sheen, status, reason, proposed_at, removed_at)
       select $1, r.id, c.id, $5, $6, $7, $8, $9::timestamptz, case when $10::boolean then $9::timestamptz end
       from room r join candidate c on c.visit_id = r.visit_id
       where r.visit_id = $2 and r.id = $3 and c.id = $4 and r.removed_at is null
       on conflict (room_id, candidate_id, surface) do update set sheen = excluded.sheen,
         status = excluded.status, reason = excluded.reason, removed_at = excluded.removed_at
       returning id`,
      [
        proposal.proposalId,
        proposal.visitId,
        proposal.roomId,
        proposal.candidateId,
        proposal.surface,
        proposal.sheen,
        proposal.status,
        proposal.reason,
        at,
        proposal.withdrawn,
      ],
    ),
  )
}

/** Takes a proposal back; its candidate stays. */
export async function withdrawProposal(
  tx: Db,
  visitId: string,
  id: string,
  at: string,
): Promise<void> {
  await tx.query(
    `update proposal p set removed_at = coalesce(p.removed_at, $3::timestamptz) from room r
     where p.id = $2 and r.id = p.room_id and r.visit_id = $1`,
    [visitId, id, at],
  )
}

/** Rules a candidate out for the house, or in again; false where it is not in the visit. */
export const setRuledOut = async (
  tx: Db,
  visitId: string,
  id: string,
  reason: string | null,
): Promise<boolean> =>
  done(
    await tx.query(
      'update candidate set ruled_out = $3 where visit_id = $1 and id = $2 returning id',
      [visitId, id, reason],
    ),
  )

/** Drops a candidate from sight; its looks stay. False where it is not in the visit. */
export const dropCandidate = async (
  tx: Db,
  visitId: string,
  id: string,
  at: string,
): Promise<boolean> =>
  done(
    await tx.query(
      `update candidate set removed_at = coalesce(removed_at, $3::timestamptz)
       where visit_id = $1 and id = $2 returning id`,
      [visitId, id, at],
    ),
  )
