import { apply } from '../src/commands/apply'
import type { KindName, PayloadOf } from '../src/commands/kinds'
import { seededRandom } from '../src/core/seeded-random'
import { uuidOfHex } from '../src/core/uuid'
import type { Db } from '../src/db/db'

const random = seededRandom(7)

/** A version 4 UUID that is the same in every run, so that addresses of the demo are. */
export function steadyId(): string {
  const hex = Array.from({ length: 32 }, () => Math.floor(random() * 16).toString(16))
  return uuidOfHex(hex.join(''), 4)
}

/** Makes changes, one after another, with a clock that starts at an instant and goes on a minute a change. */
export class Hand {
  constructor(
    readonly db: Db,
    private readonly by: string,
    private atMs: number,
  ) {}

  /** Goes on at an instant, or a minute after the last change where that is later. */
  waitUntil(utcMs: number): void {
    this.atMs = Math.max(this.atMs, utcMs - 60_000)
  }

  async make<K extends KindName>(kind: K, payload: PayloadOf<K>): Promise<void> {
    this.atMs += 60_000
    const madeAt = new Date(this.atMs).toISOString()
    const command = { id: steadyId(), kind, payload, actor: this.by, device: 'demo', madeAt }
    const answer = await apply(this.db, command, madeAt)
    if (!answer.ok)
      throw new Error(`${kind} was refused: ${answer.message} ${JSON.stringify(answer.fields)}`)
  }
}
