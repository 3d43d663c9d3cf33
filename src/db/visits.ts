import { z } from 'zod'
import { HOUSE_RULE_NAMES } from '../core/advice/house-rules'
import { CLIMATES, CONTRASTS, OLD_PAINT, WANTS } from '../core/advice/brief'
import { many, maybeOne, type Db } from './db'
import { HouseRulesRow } from './house-rules-row'

const STAGES = ['in-progress', 'planned', 'finished'] as const

const VisitRow = z.object({
  id: z.uuid(),
  household: z.string(),
  wishes: z.string(),
  willNotHave: z.string(),
  houseRules: HouseRulesRow,
  wants: z.array(z.enum(WANTS)),
  contrast: z.enum(CONTRASTS),
  climate: z.enum(CLIMATES),
  oldPaint: z.enum(OLD_PAINT),
  /** Visiting hours, minutes of the clock. */
  fromMinute: z.number(),
  toMinute: z.number(),
  placeName: z.string(),
  latitudeDeg: z.number(),
  longitudeDeg: z.number(),
  timeZone: z.string(),
  visitDate: z.iso.date(),
  stage: z.enum(STAGES),
  /** In which order its rooms are to be seen; empty leaves it to the light. */
  planOrder: z.array(z.uuid()),
})
export type Visit = z.infer<typeof VisitRow>
export type NewVisit = Omit<Visit, 'stage' | 'planOrder'>

// In progress once a look stands, finished when the consultant says so.
const STAGE = `case
  when v.finished_at is not null then 'finished'
  when coalesce((select standing from visit_looks s where s.visit_id = v.id), 0) > 0 then 'in-progress'
  else 'planned' end`

const COLUMNS = `v.id, v.household, v.wishes, v.will_not_have as "willNotHave", v.wants, v.contrast,
  v.climate, v.old_paint as "oldPaint", v.from_minute as "fromMinute", v.to_minute as "toMinute",
  (select coalesce(json_object_agg(r.rule, r.school), '{}') from visit_house_rule r
    where r.visit_id = v.id) as "houseRules",
  v.place_name as "placeName", v.latitude_deg as "latitudeDeg", v.longitude_deg as "longitudeDeg",
  v.time_zone as "timeZone", v.visit_date as "visitDate", v.plan_order as "planOrder", ${STAGE} as stage`

const VisitSummaryRow = VisitRow.pick({
  id: true,
  household: true,
  placeName: true,
  visitDate: true,
  stage: true,
}).extend({
  rooms: z.number(),
  candidates: z.number(),
  looks: z.number(),
  /** The last change of it; its own id where it is from before changes had commands. */
  lastChange: z.uuid(),
  /** How many there are of which this is one. */
  total: z.number(),
})
export type VisitSummary = z.infer<typeof VisitSummaryRow>

export const VISITS_A_PAGE = 30

/**
 * A page of the visits whose household or place holds what was typed: in progress, then planned by date, then finished,
 * latest first.
 *
 * @param page from 0
 */
export function listVisits(db: Db, typed = '', page = 0): Promise<VisitSummary[]> {
  return many(
    db,
    VisitSummaryRow,
    `with listed as materialized (
       select v.id, v.visit_date, v.household,
         case when v.finished_at is not null then 3 when s.standing > 0 then 1 else 2 end as stage
       from visit v left join visit_looks s on s.visit_id = v.id
       where v.removed_at is null
         and ($1 = '' or position(lower($1) in lower(v.household || ' ' || v.place_name)) > 0)),
     page as (
       select id, stage, row_number() over () as place from (
         select id, stage from listed
         order by stage, case stage when 2 then visit_date end, visit_date desc, household, id
         limit ${VISITS_A_PAGE} offset $2) sorted)
     select v.id, v.household, v.place_name as "placeName", v.visit_date as "visitDate",
       (array['in-progress', 'planned', 'finished'])[page.stage] as stage,
       (select count(*) from listed) as total,
       coalesce((select c.id from command c where c.visit_id = v.id order by c.seq desc limit 1), v.id) as "lastChange",
       (select count(*) from room where room.visit_id = v.id and room.removed_at is null) as rooms,
       (select count(*) from candidate c where c.visit_id = v.id and c.removed_at is null) as candidates,
       (select count(*) from look l join room r on r.id = l.room_id join candidate c on c.id = l.candidate_id
         where l.visit_id = v.id and l.retracted_at is null and r.removed_at is null
           and c.removed_at is null) as looks
     from page join visit v on v.id = page.id order by page.place`,
    [typed, page * VISITS_A_PAGE],
  )
}

const RemovedVisitRow = z.object({
  id: z.uuid(),
  household: z.string(),
  visitDate: z.string(),
  removedAt: z.string(),
})
export type RemovedVisit = z.infer<typeof RemovedVisitRow>

/** Visits that were taken out of the list in the last days, latest first. */
export const listRemovedVisits = (db: Db, days: number): Promise<RemovedVisit[]> =>
  many(
    db,
    RemovedVisitRow,
    `select id, household, visit_date as "visitDate", removed_at as "removedAt" from visit
     where removed_at > now() - make_interval(days => $1) order by removed_at desc`,
    [days],
  )

/** A visit that is in the list, or null. */
export function findVisit(db: Db, id: string): Promise<Visit | null> {
  return maybeOne(
    db,
    VisitRow,
    `select ${COLUMNS} from visit v where v.id = $1 and v.removed_at is null`,
    [id],
  )
}

/** Writes a visit's brief; the same id again changes it. */
export async function saveVisit(tx: Db, visit: NewVisit, at: string): Promise<void> {
  await tx.query(
    `insert into visit (id, household, wishes, will_not_have, place_name, latitude_deg, longitude_deg, time_zone,
       visit_date, wants, contrast, climate, old_paint, from_minute, to_minute, created_at)
     values ($1, $2, $3, $4, $5, $6, $7, $8, $9::date, $10, $11, $12, $13, $14, $15, $16::timestamptz)
     on conflict (id) do update set household = excluded.household, wishes = excluded.wishes,
       will_not_have = excluded.will_not_have, place_name = excluded.place_name,
       latitude_deg = excluded.latitude_deg, longitude_deg = excluded.longitude_deg,
       time_zone = excluded.time_zone, visit_date = excluded.visit_date, wants = excluded.wants,
       contrast = excluded.contrast, climate = excluded.climate, old_paint = excluded.old_paint,
       from_minute = excluded.from_minute, to_minute = excluded.to_minute`,
    [
      visit.id,
      visit.household,
      visit.wishes,
      visit.willNotHave,
      visit.placeName,
      visit.latitudeDeg,
      visit.longitudeDeg,
      visit.timeZone,
      visit.visitDate,
      visit.wants,
      visit.contrast,
      visit.climate,
      visit.oldPaint,
      visit.fromMinute,
      visit.toMinute,
      at,
    ],
  )
  await tx.query(
    `insert into visit_house_rule (visit_id, rule, school)
     select $1::uuid, asked.rule, asked.school from unnest($2::text[], $3::text[]) as asked (rule, school)
     on conflict (visit_id, rule) do update set school = excluded.school`,
    [visit.id, HOUSE_RULE_NAMES, HOUSE_RULE_NAMES.map((rule) => visit.houseRules[rule])],
  )
}

/** Marks a visit finished at an instant, or takes the mark back. */
export async function setVisitFinished(tx: Db, id: string, at: string | null): Promise<void> {
  await tx.query(
    `update visit set finished_at = case when $2::timestamptz is not null then coalesce(finished_at, $2::timestamptz) end
     where id = $1`,
    [id, at],
  )
}

/** Takes a visit out of the list at an instant, or puts it back. */
export async function setVisitRemoved(tx: Db, id: string, at: string | null): Promise<void> {
  await tx.query(
    `update visit set removed_at = case when $2::timestamptz is not null then coalesce(removed_at, $2::timestamptz) end
     where id = $1`,
    [id, at],
  )
}

/** Says in which order the rooms of a visit are to be seen. */
export async function setPlanOrder(tx: Db, id: string, roomIds: readonly string[]): Promise<void> {
  await tx.query('update visit set plan_order = $2::uuid[] where id = $1', [id, roomIds])
}
