import type { Answer, Command } from '@/commands/kinds'

/** What of the outbox a screen shows. */
export interface OutboxState {
  /** Changes that have no answer yet, oldest first. */
  readonly waiting: readonly Command[]
  /** The server did not answer the last time it was asked. */
  readonly trouble: boolean
}

/** Sends a change; null when no answer came, and nobody knows whether it was kept. */
export type Post = (command: Command) => Promise<Answer | null>

const FIRST_PAUSE_MS = 1000
const LONGEST_PAUSE_MS = 15_000

/**
 * Changes on their way to the store, in order. One that gets no answer keeps its id and is sent again until it has one: what
 * was lost was the change or only its answer, and the same id makes both the same.
 */
export class Outbox {
  private state: OutboxState = { waiting: [], trouble: false }
  private readonly answers = new Map<string, (answer: Answer) => void>()
  private readonly listeners = new Set<() => void>()
  private isSending = false
  private wake: (() => void) | null = null
  private pauseMs = FIRST_PAUSE_MS

  constructor(
    private readonly post: Post,
    private readonly pause = (ms: number, wake: () => void): void => void setTimeout(wake, ms),
  ) {}

  now = (): OutboxState => this.state

  subscribe = (listener: () => void): (() => void) => {
    this.listeners.add(listener)
    return () => this.listeners.delete(listener)
  }

  /** Puts a change in line; resolves with its answer, however long that takes. */
  send(command: Command): Promise<Answer> {
    const answer = new Promise<Answer>((resolve) => this.answers.set(command.id, resolve))
    this.show({ ...this.state, waiting: [...this.state.waiting, command] })
    void this.flush()
    return answer
  }

  /** Asks again at once, instead of after the pause. */
  retry = (): void => this.wake?.()

  private show(state: OutboxState): void {
    this.state = state
    for (const listener of this.listeners) listener()
  }

  private async flush(): Promise<void> {
    if (this.isSending) return
    this.isSending = true
    for (let first = this.state.waiting[0]; first; first = this.state.waiting[0]) {
      const answer = await this.post(first)
      if (answer) {
        this.pauseMs = FIRST_PAUSE_MS
        this.show({ waiting: this.state.waiting.slice(1), trouble: false })
        this.answers.get(first.id)?.(answer)
        this.answers.delete(first.id)
      } else {
        this.show({ ...this.state, trouble: true })
        await this.untilWoken()
      }
    }
    this.isSending = false
  }

  private untilWoken(): Promise<void> {
    return new Promise((resolve) => {
      this.wake = resolve
      this.pause(this.pauseMs, resolve)
      this.pauseMs = Math.min(LONGEST_PAUSE_MS, 2 * this.pauseMs)
    })
  }
}
