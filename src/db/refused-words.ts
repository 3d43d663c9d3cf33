import type { TableName } from './codec'
import { sqlState } from './db'

/** What a row of each table is called. */
const THING: Readonly<Record<TableName | 'deck_colour', string>> = {
  settings: 'settings',
  deck: 'deck',
  deck_colour: 'colour of the deck',
  photo: 'photo',
  visit: 'visit',
  visit_house_rule: 'house rule',
  room: 'room',
  room_window: 'window or door',
  lamp: 'lamp',
  room_paint: 'paint of the room',
  room_sight: 'view from room to room',
  keeper: 'keeper',
  keeper_colour: 'colour of the keeper',
  keeper_room: 'keeper in the room',
  candidate: 'candidate',
  proposal: 'proposal',
  ruling: 'ruling',
  scheme: 'scheme',
  thing_place: 'place of the thing',
  what_if: 'what-if',
  board: 'board',
  look: 'look',
  finish_look: 'look at two finishes',
  sweep: 'sweep',
  meter_reading: 'meter reading',
  learner: 'learner',
  practice_answer: 'practice answer',
  eye_lesson: 'lesson of the eye',
}

/** Columns whose name says too little once its unit is left out. */
const FIELD: Readonly<Record<string, string>> = {
  cct_k: 'colour temperature',
  metered_cct_k: 'metered colour temperature',
  lux: 'brightness',
  lab_l: 'L*',
  lab_a: 'a*',
  lab_b: 'b*',
  hex: 'hex colour',
  printed_lrv: 'printed LRV',
  from_minute: 'start',
  to_minute: 'end',
  bands: 'spectrum',
}

/** What a check on several columns asks, where their names alone would not say it. */
const ASKS: Readonly<Record<string, string>> = {
  visit_check: 'The visit must end after it begins.',
  room_sight_check: 'A room is not seen from itself.',
  board_check: 'The board’s border must leave some of the board to paint.',
  board_check1: 'The board’s beginning needs a date and a time.',
  finish_look_check: 'A finish is not held up beside itself.',
  look_check: 'A look is against one thing, and needs it named.',
  look_says_something: 'A look needs a verdict, a lean, a best or what the client said.',
  ruling_check: 'A ruling that is reopened needs a reason.',
}

const UNIT = /_(mm|percent|deg|k|px|m2|id|at|nm|hash)$/

const fieldWords = (column: string): string =>
  FIELD[column] ?? column.replace(UNIT, '').replaceAll('_', ' ')

const hasThing = (table: string): table is keyof typeof THING => Object.hasOwn(THING, table)

/** The column that a constraint of one column is about, by the name that PostgreSQL gives it. */
const columnOf = (table: string, constraint: string): string | null =>
  constraint.startsWith(`${table}_`)
    ? (/^(.+)_(check|not_null|fkey|key)\d*$/.exec(constraint.slice(table.length + 1))?.[1] ?? null)
    : null

/** What the database says of what it refused. */
interface Refused {
  readonly table?: string
  readonly column?: string
  readonly constraint?: string
  readonly message?: string
}

/**
 * Why the database refused a value or a row (SQLSTATE classes 22 and 23), in words that name the thing and its field.
 *
 * @param payload what was to be kept: a value that the database names is found in it
 * @returns null for any other error
 */
export function refusedInWords(error: unknown, payload?: unknown): string | null {
  const state = sqlState(error)
  if (!/^2[23]/.test(state ?? '')) return null
  const { table = '', column, constraint = '', message = '' } = error as Refused
  const asks = ASKS[constraint]
  if (asks) return `${asks} Nothing was saved.`
  const thing = hasThing(table) ? THING[table] : 'change'
  const field = column ?? columnOf(table, constraint)
  if (state === '23502')
    return `The ${thing} needs a value for its ${fieldWords(field ?? 'field')}. Nothing was saved.`
  if (field) return `The ${thing} cannot have this ${fieldWords(field)}. Nothing was saved.`
  if (hasThing(table)) return `The parts of the ${thing} do not fit together. Nothing was saved.`
  const value = /"([^"]*)"/.exec(message)?.[1]
  const path = value === undefined ? null : pathOf(payload, value)
  const said = value === undefined ? '' : ` (“${value.slice(0, 60)}”)`
  return `${path ?? 'A value that was sent'}${said} cannot be kept. Nothing was saved.`
}

/** Where a value stands in what was sent, as its fields are called there. */
function pathOf(payload: unknown, value: string): string | null {
  if (payload === null || typeof payload !== 'object') return null
  for (const [key, each] of Object.entries(payload)) {
    if (String(each) === value && (typeof each === 'string' || typeof each === 'number')) return key
    const inside = pathOf(each, value)
    if (inside) return `${key}.${inside}`
  }
  return null
}
