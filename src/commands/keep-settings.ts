import { z } from 'zod'
import { FIRST_SPEAKS } from '../core/record/agreement'
import { TRADE_WORDS } from '../core/trade-words'
import { LENGTH_UNITS, VOLUME_UNITS } from '../core/units'
import { saveSettings } from '../db/settings'
import { kind } from './kind'
import { houseRules, name } from './values'

/** Whose store this is, its units, and the schools a new visit begins with. */
export const keepSettings = kind({
  payload: z.object({
    who: name('your name'),
    lengths: z.enum(LENGTH_UNITS),
    volumes: z.enum(VOLUME_UNITS),
    words: z.enum(TRADE_WORDS).default('american'),
    houseRules,
    firstSpeaks: z.enum(FIRST_SPEAKS).default('eye'),
  }),
  visitOf: () => null,
  write: saveSettings,
  sentence: ({ who }) => `Settings: ${who}`,
})
