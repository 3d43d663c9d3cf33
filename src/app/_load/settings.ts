import { cache } from 'react'
import { DEFAULT_HOUSE_RULES } from '@/core/advice/house-rules'
import { usualWays, type PaintWays } from '@/core/quantity/products'
import { inTradeWords } from '@/core/trade-words'
import { findSettings, type Settings } from '@/db/settings'
import { openDb } from '@/store/store'

/** What holds before the first start is done. */
export const FIRST_SETTINGS: Settings = {
  who: 'Consultant',
  lengths: 'metric',
  volumes: 'litres',
  words: 'american',
  houseRules: DEFAULT_HOUSE_RULES,
  firstSpeaks: 'eye',
  paintWays: null,
  dailyBackup: false,
}

/** The settings as they were kept, once a request; null before the first start is done. */
export const loadKeptSettings = cache(async () => findSettings(await openDb()))

/** Says a text of ours in the words of the store's trade. */
export async function loadTradeWords(): Promise<(text: string) => string> {
  const { words } = await loadSettings()
  return (text) => inTradeWords(text, words)
}

export const loadSettings = async (): Promise<Settings> =>
  (await loadKeptSettings()) ?? FIRST_SETTINGS

/** How paint is sampled and worked out: as the settings say, else as is usual where it is bought so. */
export async function loadPaintWays(): Promise<PaintWays> {
  const { paintWays, volumes } = await loadSettings()
  return paintWays ?? usualWays(volumes)
}
