import envPaths from 'env-paths'
import { longDate } from '../../src/core/light/calendar-date'
import { counted } from '../../src/core/words'
import type { BackupManifest } from '../../src/store/backup'

/** The consultant's own data directory, as `npm start` opens it. */
export const ownDataDir = (): string =>
  process.env.ELM_DATA_DIR ?? envPaths('elm-swatch', { suffix: '' }).data

/** Runs what may be refused; a refusal is said in words, without what only a programmer reads. */
export async function told(work: () => Promise<void>): Promise<void> {
  try {
    await work()
  } catch (error) {
    console.error((error as Error).message)
    process.exitCode = 1
  }
}

export function sayContents({
  who,
  madeAt,
  visits,
  decks,
  looks,
  photos,
  missingPhotos,
}: BackupManifest): void {
  const out = visits.filter(({ isOut }) => isOut).length
  console.log(
    `A backup of ${who || 'a store without a name yet'}, made ${madeAt}: ${counted(visits.length, 'visit')}` +
      `${out > 0 ? ` (${out} taken out)` : ''}, ${counted(looks, 'look')}, ${counted(decks.length, 'deck')}, ${counted(photos.length, 'photo')}` +
      `${missingPhotos > 0 ? `, ${missingPhotos} whose file was gone` : ''}.`,
  )
  for (const { household, visitDate } of visits.slice(0, 20))
    console.log(`  ${longDate(visitDate)}  ${household}`)
  if (visits.length > 20) console.log(`  and ${visits.length - 20} more`)
}
