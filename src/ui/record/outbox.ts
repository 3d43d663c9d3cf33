import type { Answer, Command } from '@/commands/kinds'
import { dependsOn } from './depends-on'
import type { Aside, RefusedChange, Shelf } from './shelf'

/** A change that is not sent by itself any more, and why. */
export interface SetAside extends Aside {
  readonly command: Command
}

/** What of the outbox a screen shows. */
export interface OutboxState {
  /** Changes that have no answer yet and are in line, oldest first. */
  readonly waiting: readonly Command[]
  /** Changes that failed, and those that make sense only after one of them: they lie here until somebody says more. */
  readonly aside: readonly SetAside[]
  /** Why they wait, in words; null while all is well. */
  readonly trouble: string | null
  /** What this device cannot keep beyond the page, in words; null while it can. */
  readonly unsafe: string | null
  /** Changes of before that were refused. */
  readonly refused: readonly RefusedChange[]
}

export const NOTHING_WAITS: OutboxState = {
  ...{ waiting: [], aside: [], trouble: null, unsafe: null, refused: [] },
}

/** No answer came, or none that says what became of the change. */
export interface Unanswered {
  readonly unanswered: string
  /** It failed: the server had it, or it could not be sent at all; not just that no server could be reached. */
  readonly failed?: boolean
}

/** Sends a change. */
export type Post = (command: Command) => Promise<Answer | Unanswered>

const FIRST_PAUSE_MS = 1000
const LONGEST_PAUSE_MS = 15_000
// A change that failed so often is set aside, so that the others go on.
const MOST_FAILURES = 3

/**
 * Changes on their way to the store, in order. Each lies on the shelf before it is sent, and until it has an answer: one that
 * gets none keeps its id and is sent again, by this page or the next. What was lost was the change or only its answer, and the
 * same id makes both the same. One that fails is set aside, with what depends on it, and kept.
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
    /** Told of each change that is kept; `isTold` where this page made it and waits for its answer. */
    private readonly kept: (command: Command, seq: number, isTold: boolean) => void = () =>
      undefined,
  ) {}

  now = (): OutboxState => this.state

  subscribe = (listener: () => void): (() => void) => {
    this.listeners.add(listener)
    return () => this.listeners.delete(listener)
  }

  /** Takes up what earlier pages left. */
  async takeUp(): Promise<void> {
    const left = await this.shelf.waiting().catch(() => [])
    const here = new Set([...this.state.waiting, ...this.commandsAside()].map(({ id }) => id))
    const others = left.filter(({ command }) => !here.has(command.id))
    this.show({
      waiting: [
        ...others.flatMap(({ command, aside }) => (aside ? [] : [command])),
        ...this.state.waiting,
      ],
      aside: [
        ...others.flatMap(({ command, aside }) => (aside ? [{ command, ...aside }] : [])),
        ...this.state.aside,
      ],
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

  /** Puts what was set aside in line again, before what was made since. */
  tryAgain = async (): Promise<void> => {
    const back = this.commandsAside()
    this.failures.clear()
    this.show({ aside: [], waiting: [...back, ...this.state.waiting] })
    for (const { id } of back) await this.shelf.setAside(id, null).catch(() => undefined)
    this.retry()
    await this.flush()
  }

  /** Lets a change go that was set aside, with what waits for it: somebody has a copy of it. */
  letGo = (id: string): void => {
    const gone = this.state.aside.filter(
      ({ command, waitsFor }) => command.id === id || waitsFor === id,
    )
    this.show({ aside: this.state.aside.filter((each) => !gone.includes(each)) })
    for (const { command } of gone) void this.shelf.letGo(command.id).catch(() => undefined)
  }

  dismiss = (id: string): void => {
    this.show({ refused: this.state.refused.filter(({ command }) => command.id !== id) })
    void this.shelf.dismissRefused(id).catch(() => undefined)
  }

  /** Says what this device may not be able to keep. */
  warn = (unsafe: string): void => this.show({ unsafe })

  private commandsAside = (): Command[] => this.state.aside.map(({ command }) => command)

  private show(change: Partial<OutboxState>): void {
    this.state = { ...this.state, ...change }
    for (const listener of this.listeners) listener()
  }

  private async flush(): Promise<void> {
    if (this.isSending) return
    this.isSending = true
    try {
      for (let first = this.state.waiting[0]; first; first = this.state.waiting[0])
        await this.sendFirst(first)
    } finally {
      this.isSending = false
    }
  }

  private async sendFirst(first: Command): Promise<void> {
    await this.shelved.get(first.id)
    const before = this.state.aside.find(({ command }) => dependsOn(first, command))
    if (before)
      return this.setAside(first, {
        message: before.message,
        waitsFor: before.waitsFor ?? before.command.id,
      })
    const answer = await this.posted(first)
    if ('ok' in answer) return this.settle(first, answer)
    if (answer.failed && this.failedOften(first.id))
      return this.setAside(first, { message: answer.unanswered, waitsFor: null })
    this.show({ trouble: answer.unanswered })
    await this.untilWoken()
  }

  /** Sends a change; whatever that throws is no reason to send no more. */
  private async posted(command: Command): Promise<Answer | Unanswered> {
    try {
      return await this.post(command)
    } catch (error) {
      return { unanswered: wordsOf(error), failed: true }
    }
  }

  private failedOften(id: string): boolean {
    const times = (this.failures.get(id) ?? 0) + 1
    this.failures.set(id, times)
    return times >= MOST_FAILURES
  }

  private async setAside(command: Command, aside: Aside): Promise<void> {
    this.pauseMs = FIRST_PAUSE_MS
    // On a shelf that cannot be written it lies in line, and the next page sends it.
    await this.shelf.setAside(command.id, aside).catch(() => undefined)
    const told = this.takeTold(command)
    this.show({
      waiting: this.state.waiting.filter(({ id }) => id !== command.id),
      aside: [...this.state.aside, { command, ...aside }],
      trouble: null,
    })
    told?.({ ok: false, aside: true, message: `${aside.message} It was set aside on this device.` })
  }

  private async settle(command: Command, answer: Answer): Promise<void> {
    this.pauseMs = FIRST_PAUSE_MS
    const told = this.answers.get(command.id)
    await this.shelf.answered(command, answer, told === undefined).catch(() => undefined)
    this.takeTold(command)
    if (answer.ok) this.kept(command, answer.seq, told !== undefined)
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

  /** Who is to be told of a change, once. */
  private takeTold({ id }: Command): ((answer: Answer) => void) | undefined {
    const told = this.answers.get(id)
    for (const each of [this.answers, this.shelved, this.failures]) each.delete(id)
    return told
  }

  private untilWoken(): Promise<void> {
    return new Promise((resolve) => {
      this.wake = resolve
      this.pause(this.pauseMs, resolve)
      this.pauseMs = Math.min(LONGEST_PAUSE_MS, 2 * this.pauseMs)
    })
  }
}

const wordsOf = (error: unknown): string =>
  `It could not be sent (${error instanceof Error ? error.message : String(error)}).`
