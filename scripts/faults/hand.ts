// What the faults are done to: node --import tsx scripts/faults/hand.ts WHAT DIRECTORY [SEED] [COUNT]
//
// begin   makes a store with a house in it
// write   gives looks one after another, COUNT of them or until it is killed; prints the id of each once it is acknowledged
// heedless  the same without a look at the room on the disk: the database meets the full disk by itself
// check   opens the store and prints the ids of the looks that stand
// hold    opens the store and keeps it until it is killed
import { readFileSync, writeFileSync, writeSync } from 'node:fs'
import { aHouse, command, look } from '../../src/commands/house.fixture'
import { keepChange, NotNowError } from '../../src/commands/keep-change'
import { seededRandom } from '../../src/core/seeded-random'
import { uuidOfHex } from '../../src/core/uuid'
import { openStore } from '../../src/store/store'

const [, , what, dataDir, seed = '1', count = 'Infinity'] = process.argv
// Not through a stream: what is said has to be out before a kill.
function say(line: string): void {
  for (let text = Buffer.from(`${line}\n`); text.length > 0;)
    try {
      text = text.subarray(writeSync(1, text))
    } catch (error) {
      // Whoever listens is behind.
      if ((error as NodeJS.ErrnoException).code !== 'EAGAIN') throw error
    }
}

const opened = await openStore(dataDir!).catch((error: Error) => {
  say(`refused ${error.name}: ${error.message}`)
  process.exit(3)
})
const store = what === 'heedless' ? { ...opened, refusesNow: () => Promise.resolve(null) } : opened
for (const note of store.notes) say(`note ${note}`)
const house = `${dataDir}.house.json`

if (what === 'begin') {
  writeFileSync(house, JSON.stringify(await aHouse(store.db)))
  await store.close()
} else if (what === 'write' || what === 'heedless') {
  const { visitId, ...ids } = JSON.parse(readFileSync(house, 'utf8')) as Awaited<
    ReturnType<typeof aHouse>
  >
  const random = seededRandom(Number(seed))
  const id = () =>
    uuidOfHex(Array.from({ length: 32 }, () => Math.floor(random() * 16).toString(16)).join(''), 4)
  const give = async (): Promise<void> => {
    const lookId = id()
    const sent = { ...command(1, 'keep-look', look({ visitId, ...ids }, lookId)), id: id() }
    // Sent until it is acknowledged, as the browser does.
    for (let isKept = false; !isKept;) {
      isKept = await keepChange(store, sent, new Date().toISOString()).then(
        (answer) => {
          if (!answer.ok) throw new Error(answer.message)
          return true
        },
        async (error: unknown) => {
          if (!(error instanceof NotNowError)) throw error
          say(`not now ${error.message}`)
          await new Promise((later) => setTimeout(later, 50))
          return false
        },
      )
    }
    say(`kept ${lookId}`)
  }
  say('open')
  // Three hands at once: a burst shares a write to the disk.
  for (let given = 0; given < Number(count); given += 3) await Promise.all([give(), give(), give()])
  await store.close()
} else if (what === 'check') {
  const rows = await store.db.query(
    `select l.id, count(*) from look l join command c on c.payload ->> 'lookId' = l.id::text
     where l.retracted_at is null group by l.id`,
  )
  for (const { id, count: times } of rows as readonly { id: string; count: number }[])
    say(`stands ${id} ${times}`)
  await store.close()
  say('checked ')
} else {
  say('open')
  process.stdin.resume()
}
