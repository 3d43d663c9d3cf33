'use client'

import { createContext, useContext, useEffect, type ReactNode } from 'react'
import type { FirstSpeaks } from '@/core/record/agreement'
import { inTradeWords, type TradeWords } from '@/core/trade-words'
import type { LengthUnits, VolumeUnits } from '@/core/units'
import { setWhoRecords } from '../record/send'

/** What of the settings a page needs to know. */
export interface OwnWays {
  readonly who: string
  readonly lengths: LengthUnits
  readonly volumes: VolumeUnits
  /** What the parts of a room are called. */
  readonly words: TradeWords
  /** Who speaks first on the bench. */
  readonly firstSpeaks: FirstSpeaks
  /** As the browser asks for it: en-US. */
  readonly locale: string
}

const SettingsContext = createContext<OwnWays | null>(null)

export function useSettings(): OwnWays {
  const settings = useContext(SettingsContext)
  if (!settings) throw new Error('useSettings needs a SettingsProvider above it')
  return settings
}

/** Says a text of ours in the words of the store's trade. */
export function useTradeWords(): (text: string) => string {
  const { words } = useSettings()
  return (text) => inTradeWords(text, words)
}

/** The settings of the store for all that is under it; changes made here are kept under its name. */
export function SettingsProvider({
  settings,
  children,
}: {
  readonly settings: OwnWays
  readonly children: ReactNode
}) {
  const { who } = settings
  useEffect(() => setWhoRecords(who), [who])
  return <SettingsContext value={settings}>{children}</SettingsContext>
}
