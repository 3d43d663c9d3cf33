import { z } from 'zod'
import type { HouseRules } from '../core/advice/house-rules'
import { FIRST_SPEAKS, type FirstSpeaks } from '../core/record/agreement'
import type { PaintWays } from '../core/quantity/products'
import { TRADE_WORDS, type TradeWords } from '../core/trade-words'
import { PaintWaysRow } from './paint-ways-row'
import { LENGTH_UNITS, VOLUME_UNITS, type LengthUnits, type VolumeUnits } from '../core/units'
import { maybeOne, type Db } from './db'
import { HouseRulesRow } from './house-rules-row'

/** What holds for every visit of a store. */
export interface Settings {
  /** The name that changes are kept under. */
  readonly who: string
  readonly lengths: LengthUnits
  readonly volumes: VolumeUnits
  /** What the parts of a room are called. */
  readonly words: TradeWords
  /** The schools that a new visit begins with. */
  readonly houseRules: HouseRules
  /** Who speaks first on the bench. */
  readonly firstSpeaks: FirstSpeaks
  /** How paint is sampled and worked out; null: as is usual where it is bought so. */
  readonly paintWays: PaintWays | null
  /** Whether the store is backed up once a day. */
  readonly dailyBackup: boolean
}

/** Its units and its words for the parts of a room. */
export type OwnWords = Pick<Settings, 'lengths' | 'words'>

export const FIRST_OWN_WORDS: OwnWords = { lengths: 'metric', words: 'american' }

const SettingsRow = z.object({
  who: z.string(),
  lengths: z.enum(LENGTH_UNITS),
  volumes: z.enum(VOLUME_UNITS),
  words: z.enum(TRADE_WORDS),
  houseRules: HouseRulesRow,
  firstSpeaks: z.enum(FIRST_SPEAKS),
  paintWays: PaintWaysRow.nullable(),
  dailyBackup: z.boolean(),
})

// The one row there is.
const ID = '00000000-0000-4000-8000-000000000008'

/** The settings of a store; null before its first start is done. */
export const findSettings = (db: Db): Promise<Settings | null> =>
  maybeOne(
    db,
    SettingsRow,
    'select who, lengths, volumes, words, house_rules as "houseRules", first_speaks as "firstSpeaks", paint_ways as "paintWays", daily_backup as "dailyBackup" from settings',
  )

export async function saveSettings(
  tx: Db,
  settings: Omit<Settings, 'paintWays' | 'dailyBackup'>,
): Promise<void> {
  await tx.query(
    `insert into settings (id, who, lengths, volumes, words, house_rules, first_speaks)
     values ($1, $2, $3, $4, $5, $6::jsonb, $7)
     on conflict (id) do update set who = excluded.who, lengths = excluded.lengths,
       volumes = excluded.volumes, words = excluded.words, house_rules = excluded.house_rules, first_speaks = excluded.first_speaks`,
    [
      ID,
      settings.who,
      settings.lengths,
      settings.volumes,
      settings.words,
      JSON.stringify(settings.houseRules),
      settings.firstSpeaks,
    ],
  )
}

/** The units that lengths are said in; metric before they were chosen. */
export const lengthUnits = async (db: Db): Promise<LengthUnits> =>
  (await findSettings(db))?.lengths ?? FIRST_OWN_WORDS.lengths

/** How a store says what it tells; metric and American before it was chosen. */
export const ownWordsOf = async (db: Db): Promise<OwnWords> =>
  (await findSettings(db)) ?? FIRST_OWN_WORDS

/** Says how paint is sampled and reckoned; null: as is usual. False in a store that was never started. */
export async function savePaintWays(tx: Db, ways: PaintWays | null): Promise<boolean> {
  const rows = await tx.query('update settings set paint_ways = $1::jsonb returning id', [
    ways && JSON.stringify(ways),
  ])
  return rows.length > 0
}

/** Says whether the store is backed up once a day. False in a store that was never started. */
export async function saveDailyBackup(tx: Db, daily: boolean): Promise<boolean> {
  const rows = await tx.query('update settings set daily_backup = $1 returning id', [daily])
  return rows.length > 0
}
