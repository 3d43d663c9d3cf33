import { z } from 'zod'
import { CLIMATES, CONTRASTS, OLD_PAINT, WANTS } from '../core/advice/brief'
import {
  BULBS,
  CURTAINS,
  GLAZINGS,
  GROUNDS,
  kindsOf,
  LAMP_PLACES,
  OPPOSITES,
  SOLID,
} from '../core/light/fittings'
import { LIGHT_SOURCES } from '../core/light/light-choice'
import { SKIES } from '../core/light/sky'
import { PLANES, SPOT_NAMES } from '../core/light/spot'
import { USE_HOURS } from '../core/light/use-hours'
import { WALL_NAMES } from '../core/light/walls'
import { JUDGEMENTS } from '../core/pairing/chance'
import { KEEPER_KINDS, KEEPER_STATES, VIEW_SHARES } from '../core/pairing/keeper-kind'
import { TEXTURES } from '../core/pairing/role'
import { SHEENS } from '../core/paint/sheen'
import { READING_SOURCES } from '../core/paint/reading'
import { TREATMENTS } from '../core/paint/treatment'
import { FINISH_VERDICTS } from '../core/record/finish-look'
import { CLIENT_SAID, HELD, LEANS } from '../core/record/look'
import { PROPOSAL_STATUSES, SURFACES } from '../core/record/proposal'
import { REASONS, VERDICTS } from '../core/record/verdict'
import { TRIM_KINDS } from '../core/scheme/trim'
import { SCHEME_ORIGINS } from '../core/scheme/whole-scheme'
import { FinishLight, FinishModel } from './finish-looks'
import { EyeShifts } from './keepers'
import { METER_DEVICES } from './meter-readings'
import { ReadingEvidenceShape } from './reading-evidence'
import { OldWalls } from './room-paint'
import { RuledOutLeans } from './rooms'
import { SchemePart } from './schemes'
import type { VisitTable } from './visit-rows'
import { WhatIfShape } from './what-ifs'

const id = z.uuid()
const instant = z.iso.datetime({ offset: true })
const date = z.iso.date()
const text = z.string().max(2000)
const hash = z.string().regex(/^[0-9a-f]{64}$/)
const words = <const Words extends readonly [string, ...string[]]>(list: Words) => z.enum(list)
const number = z.number()
const int = z.int()
const wanted = { removed_at: instant.nullable() }
const spot = z.enum(SPOT_NAMES)

/**
 * What a row of each table of a visit may be, by its columns as the codec writes them: every column, and no other. Ranges and
 * what hangs together are the database's own checks.
 */
export const VISIT_ROW_SHAPES = {
  visit: z.strictObject({
    ...{ id, household: text, wishes: text, will_not_have: text, place_name: text },
    ...{ latitude_deg: number, longitude_deg: number, time_zone: text, visit_date: date },
    ...{ finished_at: instant.nullable(), created_at: instant },
    wants: z.array(words(WANTS)),
    contrast: words(CONTRASTS),
    climate: words(CLIMATES),
    old_paint: words(OLD_PAINT),
    ...{ from_minute: int, to_minute: int, ...wanted },
    plan_order: z.array(id),
  }),
  visit_house_rule: z.strictObject({ visit_id: id, rule: text, school: text }),
  photo: z.strictObject({
    ...{ hash, width_px: int, height_px: int, byte_length: int, kept_at: instant },
  }),
  room: z.strictObject({
    ...{ id, visit_id: id, name: text, north_south_mm: int, east_west_mm: int, height_mm: int },
    ...{ created_at: instant, position: int },
    use_hours: words(USE_HOURS),
    treatment: words(TREATMENTS),
    ...{ ...wanted, lead_keeper_id: id.nullable(), north_deg: number },
    ruled_out_leans: RuledOutLeans,
  }),
  room_window: z.strictObject({
    ...{ id, room_id: id, bearing_deg: number, width_mm: int, height_mm: int, sill_mm: int },
    pitch_deg: int,
    glazing: z.enum([...kindsOf(GLAZINGS), SOLID]),
    curtain: z.enum(kindsOf(CURTAINS)),
    overhang_mm: int,
    opposite: z.enum(kindsOf(OPPOSITES)),
    opposite_deg: int,
    ground: z.enum(kindsOf(GROUNDS)),
    ...{ ...wanted, along_percent: number.nullable() },
  }),
  lamp: z.strictObject({
    ...{ id, room_id: id, cct_k: int, lumens: int },
    bulb: z.enum(kindsOf(BULBS)),
    place: z.enum(kindsOf(LAMP_PLACES)),
    ...{ evening: z.boolean(), ...wanted },
  }),
  room_paint: z.strictObject({
    ...{ room_id: id, old_walls: OldWalls.nullable(), skirting_mm: int, casing_mm: int },
    feature_wall: words(WALL_NAMES).nullable(),
    ...{ half_height_mm: int, cabinets_m2: number.nullable() },
    ...{ island_m2: number.nullable(), other_m2: number.nullable() },
  }),
  room_sight: z.strictObject({ room_id: id, seen_room_id: id }),
  keeper: z.strictObject({
    ...{ id, room_id: id, name: text },
    kind: z.enum(KEEPER_KINDS),
    state: words(KEEPER_STATES),
    ...{ created_at: instant, place: text, note: text, varies: z.boolean(), replaced_by: text },
    view_share: words(VIEW_SHARES),
    ...{ dearness: int.nullable(), photo_hash: hash.nullable(), ...wanted },
    texture: words(TEXTURES).nullable(),
    walls: z.array(words(WALL_NAMES)),
    patch_hash: hash.nullable(),
  }),
  keeper_colour: z.strictObject({
    ...{ keeper_id: id, position: int, part: text, share_percent: int },
    reading_kind: z.enum(['lab', 'srgb', 'deck', 'spectral']),
    ...{ lab_l: number.nullable(), lab_a: number.nullable(), lab_b: number.nullable() },
    ...{ hex: text.nullable(), deck_colour_id: id.nullable() },
    source: z.enum(READING_SOURCES).nullable(),
    wavelengths_nm: z.array(number).nullable(),
    reflectances: z.array(number).nullable(),
    shift: EyeShifts.nullable(),
    evidence: ReadingEvidenceShape.nullable(),
  }),
  keeper_room: z.strictObject({ keeper_id: id, room_id: id, ...wanted }),
  candidate: z.strictObject({
    ...{ id, visit_id: id, deck_colour_id: id, strength_percent: int, added_at: instant },
    ...{ ...wanted, ruled_out: text.nullable() },
  }),
  proposal: z.strictObject({
    ...{ id, room_id: id, candidate_id: id },
    surface: words(SURFACES),
    sheen: words(SHEENS),
    status: words(PROPOSAL_STATUSES),
    ...{ reason: text, proposed_at: instant, ...wanted },
  }),
  ruling: z.strictObject({
    ...{ id, room_id: id },
    surface: words(SURFACES),
    candidate_id: id,
    sheen: words(SHEENS),
    ...{ compromise: text, gaps: z.array(z.string()), ruled_by: text, made_at: instant },
    ...{ reopened_at: instant.nullable(), reopened_because: text.nullable(), ...wanted },
  }),
  scheme: z.strictObject({
    ...{ id, room_id: id, name: text },
    origin: words(SCHEME_ORIGINS),
    ...{ parts: z.array(SchemePart), accents: z.array(id), kept_at: instant },
    ...{ chosen_at: instant.nullable(), comes: z.array(id).nullable(), ...wanted },
  }),
  thing_place: z.strictObject({
    ...{ room_id: id, thing_id: id, east_mm: int, north_mm: int },
    ...{ width_mm: int, depth_mm: int, height_mm: int, from_mm: int },
  }),
  what_if: z.strictObject({
    ...{ id, room_id: id, name: text, change: WhatIfShape, says: text, kept_at: instant },
    ...wanted,
  }),
  board: z.strictObject({
    ...{ id, visit_id: id, candidate_id: id, room_id: id.nullable() },
    sheen: words(SHEENS),
    ...{ width_mm: int, height_mm: int, border_mm: int, count: int },
    ...{ begun_on: date.nullable(), begun_minute: int.nullable(), ...wanted },
  }),
  look: z.strictObject({
    ...{ id, visit_id: id, candidate_id: id, room_id: id, keeper_id: id.nullable() },
    light_source: words(LIGHT_SOURCES),
    ...{ light_minute: int, light_date: date.nullable() },
    sky: words(SKIES),
    lamps_on: z.boolean(),
    verdict: words(VERDICTS).nullable(),
    reasons: z.array(z.enum(REASONS)),
    ...{ note: text, kept_at: instant, retracted_at: instant.nullable() },
    spot,
    place: int,
    sheen: words(SHEENS),
    against: z.enum(['keeper', 'wall', 'trim', 'candidate', 'comparator', 'paint']),
    part: text.nullable(),
    plane: words(PLANES).nullable(),
    trim_kind: words(TRIM_KINDS).nullable(),
    ...{ beside_candidate_id: id.nullable(), comparator: text.nullable() },
    seen_as: z.enum(['sample', 'screen', 'not noted']),
    held: words(HELD).nullable(),
    ...{ held_strength_percent: int.nullable(), light_place: text },
    ...{ metered_lux: number.nullable(), metered_cct_k: number.nullable() },
    lean: words(LEANS).nullable(),
    client_says: words(CLIENT_SAID).nullable(),
    ...{ client_words: text, seen_by: text, made_at: instant },
    ...{ model_seen_before: z.boolean().nullable(), model_version: text.nullable() },
    model_judgement: words(JUDGEMENTS).nullable(),
    ...{ model_chance: number.nullable(), model_sentence: text.nullable() },
    ...{ model_strength_percent: int.nullable(), beside_deck_colour_id: id.nullable() },
    ...{ best_of: z.array(id), photo_hash: hash.nullable() },
  }),
  finish_look: z.strictObject({
    ...{ id, room_id: id, arriving_id: id, beside_id: id },
    seen_as: z.enum(['sample', 'screen']),
    light: FinishLight,
    verdict: words(FINISH_VERDICTS),
    model: FinishModel.nullable(),
    ...{ seen_by: text, made_at: instant, kept_at: instant, retracted_at: instant.nullable() },
  }),
  sweep: z.strictObject({
    ...{ id, room_id: id, keeper_id: id },
    seen_as: z.enum(['sample', 'screen']),
    light: FinishLight,
    ...{ stayed: z.array(id), seen_by: text, made_at: instant, kept_at: instant },
    retracted_at: instant.nullable(),
  }),
  meter_reading: z.strictObject({
    ...{ id, room_id: id, minute: int },
    sky: words(SKIES),
    ...{ lamps_on: z.boolean(), spot, lux: number, cct_k: number },
    device: words(METER_DEVICES),
    ...{ kept_at: instant, retracted_at: instant.nullable(), date: date.nullable() },
  }),
} as const satisfies Record<VisitTable, z.ZodType>
