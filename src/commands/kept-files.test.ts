import { existsSync, mkdtempSync, rmSync, utimesSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { DEFAULT_HOUSE_RULES } from '../core/advice/house-rules'
import { readBackup } from '../store/backup'
import { backUpDaily, backupsDir, keptBackups } from '../store/backups-dir'
import { aHouse, done, keeper, NOW } from './house.fixture'
import { clearUnusedPhotos, findPhoto, storePhoto } from '../store/photos'
import { testDb } from '../db/test-db.fixture'

const db = testDb()
const dataDir = mkdtempSync(join(tmpdir(), 'elm-photos-'))
afterAll(() => rmSync(dataDir, { recursive: true }))

const days = (n: number): number => Date.parse(NOW) + n * 86_400_000
const fileOf = (hash: string): string => join(dataDir, 'photos', hash.slice(0, 2), `${hash}.jpg`)

/** A photo that was taken when the house was entered. */
async function aPhoto(byte: number): Promise<string> {
  const hash = await storePhoto(dataDir, new Uint8Array([byte]))
  await done(db, 'keep-photo', { hash, widthPx: 2, heightPx: 2, byteLength: 1 })
  utimesSync(fileOf(hash), new Date(NOW), new Date(NOW))
  return hash
}

test('a photo that nobody uses is cleared after thirty days, one that is used or was just let go is not', async () => {
  const { visitId, kitchenId, stoneId } = await aHouse(db)
  const [used, letGo, never] = [await aPhoto(1), await aPhoto(2), await aPhoto(3)]
  const stone = keeper(visitId, kitchenId, stoneId, 'Stone')
  await done(db, 'keep-keeper', { ...stone, photoHash: letGo })
  await done(db, 'keep-keeper', { ...stone, photoHash: used })

  expect(await clearUnusedPhotos(db, dataDir, days(29))).toBe(0)
  // The change that let it go may still be taken back for as long.
  expect([used, letGo, never].map((hash) => existsSync(fileOf(hash)))).toEqual([true, true, true])
  expect(await clearUnusedPhotos(db, dataDir, days(31))).toBe(2)
  expect([used, letGo, never].map((hash) => existsSync(fileOf(hash)))).toEqual([true, false, false])
  expect(await findPhoto(db, dataDir, never)).toBeNull()
  expect(await clearUnusedPhotos(db, dataDir, days(400))).toBe(0)

  // Sent again, it is there again.
  expect(await storePhoto(dataDir, new Uint8Array([3]))).toBe(never)
  expect(await findPhoto(db, dataDir, never)).not.toBeNull()
})

test('what a write that was cut off left behind goes too; where there are no photos nothing happens', async () => {
  const hash = await aPhoto(9)
  const aside = `${fileOf(hash)}.new-1-2`
  writeFileSync(aside, 'x')
  utimesSync(aside, new Date(NOW), new Date(NOW))
  await clearUnusedPhotos(db, dataDir, days(40))
  expect(existsSync(aside)).toBe(false)
  expect(await clearUnusedPhotos(db, join(dataDir, 'nowhere'), days(40))).toBe(0)
})

test('a photo whose bytes were harmed is not given out; sent again, it is whole again', async () => {
  const hash = await aPhoto(7)
  writeFileSync(fileOf(hash), new Uint8Array([8]))
  expect(await findPhoto(db, dataDir, hash)).toBeNull()
  expect(await storePhoto(dataDir, new Uint8Array([7]))).toBe(hash)
  expect(await findPhoto(db, dataDir, hash)).toEqual(Buffer.from([7]))
})

test('a backup a day where that is wanted, of which the last seven are kept', async () => {
  const names = () => keptBackups(dataDir).map(({ name }) => name)
  const day = (n: number) => new Date(days(n)).toISOString()
  await done(db, 'keep-settings', {
    ...{ who: 'Ines Tarrow', lengths: 'metric', volumes: 'litres' },
    houseRules: DEFAULT_HOUSE_RULES as never,
  })
  await backUpDaily(db, dataDir, day(0))
  expect(names()).toEqual([])
  await done(db, 'keep-daily-backup', { daily: true })
  for (let n = 0; n < 9; n++) {
    await backUpDaily(db, dataDir, day(n))
    await backUpDaily(db, dataDir, day(n))
  }
  expect(names()).toEqual([8, 7, 6, 5, 4, 3, 2].map((n) => `daily-${day(n).slice(0, 10)}.zip`))
  const manifest = await readBackup(join(backupsDir(dataDir), names()[0]!))
  expect(manifest).toMatchObject({ who: 'Ines Tarrow', visits: [{ household: 'The Ashbys' }] })
})
