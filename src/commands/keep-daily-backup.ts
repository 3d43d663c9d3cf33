import { z } from 'zod'
import { saveDailyBackup } from '../db/settings'
import { kind, Refusal } from './kind'

/** Whether the store is backed up once a day. */
export const keepDailyBackup = kind({
  payload: z.object({ daily: z.boolean() }),
  visitOf: () => null,
  async write(tx, { daily }) {
    if (!(await saveDailyBackup(tx, daily)))
      throw new Refusal('Begin with your name and units first: these settings stand beside them.')
  },
  sentence: ({ daily }) => (daily ? 'Backed up once a day' : 'Backed up by hand only'),
})
