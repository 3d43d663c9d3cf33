import { z } from 'zod'
import {
  DEFAULT_HOUSE_RULES,
  HOUSE_RULE_NAMES,
  HOUSE_RULES,
  type HouseRules,
} from '../core/advice/house-rules'
import { CLIMATES, CONTRASTS, OLD_PAINT, WANTS } from '../core/advice/brief'
import { many, maybeOne, type Db } from './db'

const STAGES = ['in-progress', 'planned', 'finished'] as const

// A rule kept without a row, or under a school that is no longer offered, goes by its default.
const HouseRulesRow = z
  .record(z.string(), z.string())
  .transform(
    (kept): HouseRules =>
      Object.fromEntries(
        HOUSE_RULE_NAMES.map((rule) => [
          rule,
          Object.hasOwn(HOUSE_RULES[rule].schools, kept[rule] ?? '')
            ? kept[rule]
            : DEFAULT_HOUSE_RULES[rule],
        ]),
      ) as HouseRules,
  )

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
})
export type Visit = z.infer<typeof VisitRow>
export type NewVisit = Omit<Visit, 'stage'>

// In progress once something has been looked at, finished when the consultant says so.
const STAGE = `case
  when v.finished_at is not null then 'finished'
  when exists (select from look where look.visit_id = v.id) then 'in-progress'
  else 'planned' end`

const COLUMNS = `v.id, v.household, v.wishes, v.will_not_have as "willNotHave", v.wants, v.contrast,
  v.climate, v.old_paint as "oldPaint", v.from_minute as "fromMinute", v.to_minute as "toMinute",
  (select coalesce(json_object_agg(r.rule, r.school), '{}') from visit_house_rule r
    where r.visit_id = v.id) as "houseRules",
  v.place_name as "placeName", v.latitude_deg as "latitudeDeg", v.longitude_deg as "longitudeDeg",
  v.time_zone as "timeZone", v.visit_date as "visitDate", ${STAGE} as stage`

const VisitSummaryRow = VisitRow.extend({
  rooms: z.number(),
  candidates: z.number(),
  looks: z.number(),
})
export type VisitSummary = z.infer<typeof VisitSummaryRow>

/** All visits: in progress, then planned by date, then finished, latest first. */
export function listVisits(db: Db): Promise<VisitSummary[]> {
  return many(
    db,
    VisitSummaryRow,
    `select * from (
      select ${COLUMNS},
        (select count(*) from room where room.visit_id = v.id) as rooms,
        (select count(*) from candidate where candidate.visit_id = v.id) as candidates,
        (select count(*) from look where look.visit_id = v.id and retracted_at is null) as looks
      from visit v) listed
     order by array_position(array['in-progress', 'planned', 'finished'], stage),
       case stage when 'planned' then "visitDate" end, "visitDate" desc, household`,
  )
}

export function findVisit(db: Db, id: string): Promise<Visit | null> {
  return maybeOne(db, VisitRow, `select ${COLUMNS} from visit v where v.id = $1`, [id])
}

/** Writes a visit's brief; the same id again changes it. */
export async function saveVisit(db: Db, visit: NewVisit): Promise<void> {
  await db.query(
    `with kept as (
       insert into visit (id, household, wishes, will_not_have, place_name, latitude_deg,
         longitude_deg, time_zone, visit_date, wants, contrast, climate, old_paint, from_minute, to_minute)
       values ($1, $2, $3, $4, $5, $6, $7, $8, $9, $12, $13, $14, $15, $16, $17)
       on conflict (id) do update set household = excluded.household, wishes = excluded.wishes,
         will_not_have = excluded.will_not_have, place_name = excluded.place_name,
         latitude_deg = excluded.latitude_deg, longitude_deg = excluded.longitude_deg,
         time_zone = excluded.time_zone, visit_date = excluded.visit_date, wants = excluded.wants,
         contrast = excluded.contrast, climate = excluded.climate, old_paint = excluded.old_paint,
         from_minute = excluded.from_minute, to_minute = excluded.to_minute
       returning id)
     insert into visit_house_rule (visit_id, rule, school)
     select kept.id, asked.rule, asked.school
     from kept, unnest($10::text[], $11::text[]) as asked (rule, school)
     on conflict (visit_id, rule) do update set school = excluded.school
       where visit_house_rule.school <> excluded.school`,
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
      HOUSE_RULE_NAMES,
      HOUSE_RULE_NAMES.map((rule) => visit.houseRules[rule]),
      visit.wants,
      visit.contrast,
      visit.climate,
      visit.oldPaint,
      visit.fromMinute,
      visit.toMinute,
    ],
  )
}

/** Marks a visit finished, or takes the mark back. */
export async function setVisitFinished(db: Db, id: string, finished: boolean): Promise<void> {
  await db.query(
    `update visit set finished_at = case when $2 then coalesce(finished_at, now()) end where id = $1`,
    [id, finished],
  )
}
