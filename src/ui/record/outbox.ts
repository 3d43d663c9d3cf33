import type { Answer, Command } from '@/commands/kinds'
import type { RefusedChange, Shelf } from './shelf'

/** What of the outbox a screen shows. */
export interface OutboxState {
  /** Changes that have no answer yet, oldest first. */
  readonly waiting: readonly Command[]
  /** Why they wait, in words; null while all is well. */
  readonly trouble: string | null
  /** What this device cannot keep beyond the page, in words; null while it can. */
  readonly unsafe: string | null
  /** Changes of before that were refused. */
  readonly refused: readonly RefusedChange[]
}

export const NOTHING_WAITS: OutboxState = { waiting: [], trouble: null, unsafe: null, refused: [] }

/** No answer came, or none that says what became of the change. */
export interface Unanswered {
  readonly unanswered: string
  /** The server had it, and failed at it; not just that it could not be reached. */
  readonly failed?: boolean
}

/** Sends a change. */
export type Post = (command: Command) => Promise<Answer | Unanswered>

const FIRST_PAUSE_MS = 1000
const LONGEST_PAUSE_MS = 15_000
// A change that the server fails at so often is put aside, so that the others go on; it stays on the shelf.
const MOST_FAILURES = 5

/**
 * Changes on their way to the store, in order. Each lies on the shelf before it is sent, and until it has an answer: one that
 * gets none keeps its id and is sent again, by this page or the next. What was lost was the change or only its answer, and the
 * same id makes both the same.
 */
export class Outbox {
  private state = NOTHING_WAITS
  private readonly answers = new Map<string, (answer: Answer) => void>()
  private readonly listeners = new Set<() => void>()
  private readonly shelved = new Map<string, Promise<void>>()
  private readonly failures = new Map<string, number>()
  private isSending = false
  private wake: (() => void) | null = null
  private pauseMs = FIRST_PAUSE_MS

  constructor(
    private readonly post: Post,
    private readonly shelf: Shelf,
    private readonly pause = (ms: number, wake: () => void): void => void setTimeout(wake, ms),
  ) {}

  now = (): OutboxState => this.state

  subscribe = (listener: () => void): (() => void) => {
    this.listeners.add(listener)
    return () => this.listeners.delete(listener)
  }

  /** Takes up what earlier pages left. */
  async takeUp(): Promise<void> {
    const left = await this.shelf.waiting().catch(() => [])
    const here = new Set(this.state.waiting.map(({ id }) => id))
    this.show({
      waiting: [...left.filter(({ id }) => !here.has(id)), ...this.state.waiting],
      refused: await this.shelf.refused().catch(() => []),
    })
    await this.flush()
  }

  /** Puts a change in line; resolves with its answer, however long that takes. */
  send(command: Command): Promise<Answer> {
    const answer = new Promise<Answer>((resolve) => this.answers.set(command.id, resolve))
    this.shelved.set(
      command.id,
      this.shelf.put(command).then(
        () => undefined,
        (error: Error) =>
          this.show({
            unsafe: `This device cannot keep what waits (${error.message}). Keep the page open until nothing waits.`,
          }),
      ),
    )
    this.show({ waiting: [...this.state.waiting, command] })
    void this.flush()
    return answer
  }

  /** Asks again at once, instead of after the pause. */
  retry = (): void => this.wake?.()

  dismiss = (id: string): void => {
    this.show({ refused: this.state.refused.filter(({ command }) => command.id !== id) })
    void this.shelf.dismissRefused(id).catch(() => undefined)
  }

  /** Says what this device may not be able to keep. */
  warn = (unsafe: string): void => this.show({ unsafe })

  private show(change: Partial<OutboxState>): void {
    this.state = { ...this.state, ...change }
    for (const listener of this.listeners) listener()
  }

  private async flush(): Promise<void> {
    if (this.isSending) return
    this.isSending = true
    for (let first = this.state.waiting[0]; first; first = this.state.waiting[0]) {
      await this.shelved.get(first.id)
      const answer = await this.post(first)
      if ('ok' in answer) await this.settle(first, answer)
      else if (answer.failed && this.failedOften(first.id))
        await this.settle(first, { ok: false, message: answer.unanswered })
      else {
        this.show({ trouble: answer.unanswered })
        await this.untilWoken()
      }
    }
    this.isSending = false
  }

  private failedOften(id: string): boolean {
    const times = (this.failures.get(id) ?? 0) + 1
    this.failures.set(id, times)
    return times >= MOST_FAILURES
  }

  private async settle(command: Command, answer: Answer): Promise<void> {
    this.pauseMs = FIRST_PAUSE_MS
    const told = this.answers.get(command.id)
    await this.shelf.answered(command, answer, told === undefined).catch(() => undefined)
    this.shelved.delete(command.id)
    this.answers.delete(command.id)
    this.show({
      waiting: this.state.waiting.filter(({ id }) => id !== command.id),
      trouble: null,
      // Whoever made it is gone: it is said where what waits is said.
      ...(!answer.ok &&
        !told && {
          refused: [...this.state.refused, { command, message: answer.message }],
        }),
    })
    told?.(answer)
  }

  private untilWoken(): Promise<void> {
    return new Promise((resolve) => {
      this.wake = resolve
      this.pause(this.pauseMs, resolve)
      this.pauseMs = Math.min(LONGEST_PAUSE_MS, 2 * this.pauseMs)
    })
  }
}
