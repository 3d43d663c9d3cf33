import { z } from 'zod'
import type { Look, Seen } from '../core/record/look'
import { many, maybeOne, type Db } from './db'
import { columnsOf, LookRow, type KeptLook } from './look-row'

/** Every look of a visit, also the struck-out ones, in the order they were given: a device that was away brings late ones. */
export function listLooks(db: Db, visitId: string): Promise<KeptLook[]> {
  return many(
    db,
    LookRow,
    `select l.id, (select e.command_id from event e join command c on c.id = e.command_id
         where e.subject_id = l.id and e.what = 'insert' and c.kind = 'keep-look') as "commandId",
       l.room_id as "roomId", l.candidate_id as "candidateId", c.strength_percent as "strengthPercent", l.sheen,
       l.against, l.keeper_id as "keeperId", l.part, l.plane, l.trim_kind as trim,
       l.beside_candidate_id as "besideId", l.comparator, l.beside_deck_colour_id as "paintId",
       l.seen_as as "seenAs", l.held, l.held_strength_percent as "heldStrengthPercent",
       l.light_source as source, l.light_date as date, l.light_minute as minute, l.sky, l.lamps_on as "lampsOn",
       l.spot, l.light_place as place, l.metered_lux as "meteredLux", l.metered_cct_k as "meteredCctK",
       l.verdict, l.reasons, l.best_of as "bestOf", l.lean, l.note, l.client_says as "clientSays", l.client_words as "clientWords", l.photo_hash as "photoHash",
       l.seen_by as by, l.made_at as "madeAt", l.model_seen_before as "modelSeenBefore",
       l.model_version as "modelVersion", l.model_judgement as "modelJudgement",
       l.model_chance as "modelChance", l.model_sentence as "modelSentence",
       l.model_strength_percent as "modelStrengthPercent", l.retracted_at is not null as retracted
     from look l join candidate c on c.id = l.candidate_id
     where l.visit_id = $1 order by l.made_at, l.place`,
    [visitId],
  )
}

/** A look as it is sent. */
export interface NewLook extends Omit<
  Look,
  'id' | 'candidate' | 'seen' | 'by' | 'madeAt' | 'modelSeenBefore' | 'photoHash' | 'retracted'
> {
  readonly visitId: string
  readonly lookId: string
  readonly candidate: Look['candidate'] & { readonly deckColourId: string }
  readonly seen: Exclude<Seen, { as: 'not noted' }>
  readonly modelSeenBefore: boolean
}

const WhatWasGone = z.object({
  visitRemoved: z.boolean(),
  roomRemoved: z.boolean(),
  candidateRemoved: z.boolean(),
  keeperRemoved: z.boolean(),
})

/**
 * Writes a look, in one statement.
 *
 * @returns what of it had been taken out meanwhile, or null where its room or candidate was never of the visit
 */
export function insertLook(
  tx: Db,
  look: NewLook,
  { actor, madeAt, receivedAt }: { actor: string; madeAt: string; receivedAt: string },
): Promise<z.infer<typeof WhatWasGone> | null> {
  const { candidate, seen, light, client, model } = look
  const beside = columnsOf(look.against)
  return maybeOne(
    tx,
    WhatWasGone,
    `with found as (
       select r.visit_id, r.id as room_id, c.id as candidate_id, v.removed_at is not null as "visitRemoved",
         r.removed_at is not null as "roomRemoved", c.removed_at is not null as "candidateRemoved",
         coalesce(kr.removed_at, k.removed_at) is not null as "keeperRemoved"
       from room r join visit v on v.id = r.visit_id
         join candidate c on c.visit_id = v.id and c.deck_colour_id = $3 and c.strength_percent = $4
         left join keeper k on k.id = $5
         left join keeper_room kr on kr.keeper_id = k.id and kr.room_id = r.id
         left join deck_colour paint on paint.id = $41
       where v.id = $1 and r.id = $2 and ($41::uuid is null or paint.id is not null)),
     kept as (
       insert into look (id, place, visit_id, room_id, candidate_id, sheen, against, keeper_id, part, plane, trim_kind,
         beside_candidate_id, comparator, seen_as, held, held_strength_percent, light_source, light_date,
         light_minute, sky, lamps_on, spot, light_place, metered_lux, metered_cct_k, verdict, reasons, lean, note,
         client_says, client_words, seen_by, made_at, kept_at, model_seen_before, model_version, model_judgement,
         model_chance, model_sentence, model_strength_percent, beside_deck_colour_id, best_of)
       select $6, (select coalesce(max(place), 0) + 1 from look where visit_id = $1), visit_id, room_id, candidate_id, $7, $8, $5, $9, $10, $11, $12, $13, $14, $15, $16, $17,
         $18::date, $19, $20, $21, $22, $23, $24, $25, $26, $27::jsonb, $28, $29, $30, $31, $32,
         $33::timestamptz, $34::timestamptz, $35, $36, $37, $38, $39, $40, $41, $42::jsonb
       from found returning id)
     select found.* from found, kept`,
    [
      look.visitId,
      look.roomId,
      candidate.deckColourId,
      candidate.strengthPercent,
      beside.keeperId,
      look.lookId,
      candidate.sheen,
      beside.against,
      beside.part,
      beside.plane,
      beside.trim,
      beside.besideId,
      beside.comparator,
      seen.as,
      seen.as === 'sample' ? seen.held : null,
      seen.as === 'sample' ? seen.strengthPercent : null,
      light.source,
      light.date,
      light.minute,
      light.sky,
      light.lampsOn,
      light.spot,
      light.place,
      light.metered?.lux ?? null,
      light.metered?.cctK ?? null,
      look.verdict,
      JSON.stringify(look.reasons),
      look.lean,
      look.note,
      client?.says ?? null,
      client?.words ?? '',
      actor,
      madeAt,
      receivedAt,
      look.modelSeenBefore,
      model?.version ?? null,
      model?.judgement ?? null,
      model?.chance ?? null,
      model?.sentence ?? null,
      model?.strengthPercent ?? null,
      beside.paintId,
      JSON.stringify(look.bestOf),
    ],
  )
}

/** What is said of a look beside its verdict; it takes the place of what was said before. */
export type Sayings = Pick<Look, 'reasons' | 'lean' | 'note' | 'client' | 'photoHash'>

/** @returns whether the visit has that look, and it stands */
export async function saveSayings(
  tx: Db,
  visitId: string,
  lookId: string,
  { reasons, lean, note, client, photoHash }: Sayings,
): Promise<boolean> {
  const changed = await tx.query(
    `update look set reasons = $3::jsonb, lean = $4, note = $5, client_says = $6, client_words = $7, photo_hash = $8
     where id = $1 and visit_id = $2 and retracted_at is null
       and (verdict is not null or client_says is not null and $6::text is not null) returning id`,
    [
      lookId,
      visitId,
      JSON.stringify(reasons),
      lean,
      note,
      client?.says ?? null,
      client?.words ?? '',
      photoHash,
    ],
  )
  return changed.length > 0
}
