import { z } from 'zod'
import { KEEPER_KINDS } from '../core/pairing/keeper-kind'
import { CLIENT_SAID, HELD } from '../core/record/look'
import { VERDICTS } from '../core/record/verdict'
import { many, type Db } from './db'
import { LIGHT } from './look-row'

const EyeLookRow = z.object({
  id: z.uuid(),
  visitId: z.uuid(),
  household: z.string(),
  timeZone: z.string(),
  roomId: z.uuid(),
  roomName: z.string(),
  candidateId: z.uuid(),
  deckColourId: z.uuid(),
  strengthPercent: z.number(),
  /** What was there to be looked at was mixed at; the candidate's own where nothing else was said. */
  heldStrengthPercent: z.number().nullable(),
  keeperId: z.uuid(),
  keeperName: z.string(),
  keeperKind: z.enum(KEEPER_KINDS),
  part: z.string().nullable(),
  seenAs: z.enum(['sample', 'screen', 'not noted']),
  held: z.enum(HELD).nullable(),
  verdict: z.enum(VERDICTS),
  ...LIGHT,
  clientSays: z.enum(CLIENT_SAID).nullable(),
  madeAt: z.string(),
  modelSeenBefore: z.boolean().nullable(),
  modelChance: z.number().nullable(),
  isPicked: z.boolean().nullable(),
})
/** A verdict beside a keeper, with what the model said then, over all visits. */
export type EyeLookRow = z.infer<typeof EyeLookRow>

/** Of all verdicts so many are read: the latest, for an eye changes. */
export const MOST_EYE_LOOKS = 500

/**
 * The latest verdicts beside keepers of every visit that stands, oldest first. What each names is looked up by its id: a join
 * would read whole tables of a large store for some hundreds of rows.
 */
export const listEyeLooks = (db: Db, most = MOST_EYE_LOOKS): Promise<EyeLookRow[]> =>
  many(
    db,
    EyeLookRow,
    `with latest as (
       select * from look where against = 'keeper' and verdict is not null and retracted_at is null
       order by made_at desc limit $1)
     select l.id, l.visit_id as "visitId", v.household, v.time_zone as "timeZone", l.room_id as "roomId", r.name as "roomName",
       l.candidate_id as "candidateId", c.deck_colour_id as "deckColourId", c.strength_percent as "strengthPercent",
       l.held_strength_percent as "heldStrengthPercent", l.keeper_id as "keeperId", k.name as "keeperName",
       k.kind as "keeperKind", l.part, l.seen_as as "seenAs", l.held, l.verdict,
       l.light_source as source, l.light_date as date, l.light_minute as minute, l.sky, l.lamps_on as "lampsOn",
       l.spot, l.light_place as place, l.client_says as "clientSays", l.made_at as "madeAt",
       l.model_seen_before as "modelSeenBefore", l.model_chance as "modelChance",
       (select bool_or(g.candidate_id = l.candidate_id) from ruling g
         where g.room_id = l.room_id and g.removed_at is null and g.reopened_because is null) as "isPicked"
     from latest l
       cross join lateral (select household, time_zone, removed_at from visit where id = l.visit_id offset 0) v
       cross join lateral (select name, removed_at from room where id = l.room_id offset 0) r
       cross join lateral (select deck_colour_id, strength_percent from candidate where id = l.candidate_id offset 0) c
       cross join lateral (select name, kind from keeper where id = l.keeper_id offset 0) k
     where v.removed_at is null and r.removed_at is null
     order by l.made_at, l.id`,
    [most],
  )
