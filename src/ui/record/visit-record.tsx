'use client'

import {
  createContext,
  useContext,
  useEffect,
  useMemo,
  useRef,
  useState,
  type ReactNode,
} from 'react'
import type { Answer, Command, PayloadOf } from '@/commands/kinds'
import type { Look } from '@/core/record/look'
import { judgementKey, reasonKey } from '@/core/record/said-before'
import type { Judgement } from '@/core/pairing/chance'
import type { Reason } from '@/core/record/verdict'
import type { Sweep } from '@/core/round/sweep'
import { answerOf } from './answer-of'
import { whenOtherPagesChange } from './other-pages'
import { commandOf, isSending, isShownHere, ownChangesSince, send, sendCommand } from './send'
import type { OwnChange } from './shelf'
import { useRefresh } from '../frame/page-address'

/** A look as the page that gave it shows it. */
export interface ShownLook extends Look {
  /** The change that brought it, by which it is taken back. */
  readonly commandId: string | null
  /** On its way: the store has not answered yet. */
  readonly waiting?: boolean
}

/** A look given here, with the place of its change among the visit's; without an answer it comes last. */
interface GivenLook extends ShownLook {
  readonly seq: number
}

/** A sweep made here, with the place of its change among the visit's. */
interface MadeSweep extends Sweep {
  readonly seq: number
}

interface VisitRecord {
  /** Looks given here since the page was loaded, those on their way among them. */
  readonly fresh: readonly ShownLook[]
  /** Looks taken back here since. */
  readonly struck: ReadonlySet<string>
  /** Sweeps made here since. */
  readonly swept: readonly Sweep[]
  /** Says what stayed in a sweep: it stands at once, and goes away again if it is refused. */
  readonly sweep: (sweep: PayloadOf<'keep-sweep'>) => Promise<Answer>
  /** Gives a look: it is shown at once, and goes away again if it is refused. */
  readonly give: (look: PayloadOf<'keep-look'>) => Promise<Answer>
  /** Takes a look back. */
  readonly strike: (look: ShownLook) => Promise<Answer>
  /** What was said here of looks after their verdicts. */
  readonly said: ReadonlyMap<string, Sayings>
  /** Says more of a look that was given here or before: it is shown at once. */
  readonly say: (look: ShownLook, sayings: Sayings) => Promise<Answer>
}

/** Why, a note, the lean and the client: what is said of a look beside its verdict. */
export type Sayings = Pick<Look, 'reasons' | 'lean' | 'note' | 'client' | 'photoHash'>

/** What is said of a look so far. */
export const sayingsOf = ({ reasons, lean, note, client, photoHash }: Look): Sayings => ({
  ...{ reasons, lean, note, client, photoHash },
})

/** What a look says now, as far as it is known here. */
const withSayings = (look: ShownLook, said: ReadonlyMap<string, Sayings>): ShownLook => {
  const more = said.get(look.id)
  return more ? { ...look, ...more } : look
}

const RecordContext = createContext<VisitRecord | null>(null)

export function useVisitRecord(): VisitRecord {
  const record = useContext(RecordContext)
  if (!record) throw new Error('useVisitRecord needs a VisitRecordProvider above it')
  return record
}

/** What the server knows of a room's looks, with what was given and taken back here since. */
export function useLooks(looks: readonly ShownLook[], roomId: string): readonly ShownLook[] {
  const { fresh, struck, said } = useVisitRecord()
  return useMemo(() => {
    const known = new Set(looks.map(({ id }) => id))
    return [...looks, ...fresh.filter((look) => look.roomId === roomId && !known.has(look.id))].map(
      (look) => withSayings(struck.has(look.id) ? { ...look, retracted: true } : look, said),
    )
  }, [looks, fresh, struck, said, roomId])
}

/** What the server knows of a room's sweeps, with those made here since. */
export function useSweeps(sweeps: readonly Sweep[], roomId: string): readonly Sweep[] {
  const { swept } = useVisitRecord()
  return useMemo(() => {
    const known = new Set(sweeps.map(({ id }) => id))
    return [...sweeps, ...swept.filter((each) => each.roomId === roomId && !known.has(each.id))]
  }, [sweeps, swept, roomId])
}

/** The record of a visit in this browser: looks are shown as they are given, without a page being rendered for each. */
export function VisitRecordProvider({
  visitId,
  seq,
  children,
}: {
  readonly visitId: string
  /** The visit's latest change that the page knows of. */
  readonly seq: number
  readonly children: ReactNode
}) {
  const refresh = useRefresh()
  const [given, setGiven] = useState<readonly GivenLook[]>([])
  const [taken, setTaken] = useState<ReadonlyMap<string, number>>(new Map())
  // What the page was rendered with is the page's: a look it knows may have been taken back since by another way.
  const fresh = useMemo(() => given.filter((look) => look.seq > seq), [given, seq])
  const struck = useMemo(
    () => new Set([...taken].flatMap(([id, at]) => (at > seq ? [id] : []))),
    [taken, seq],
  )
  const [made, setMade] = useState<readonly MadeSweep[]>([])
  const swept = useMemo(() => made.filter((sweep) => sweep.seq > seq), [made, seq])
  const [sayings, setSayings] = useState<ReadonlyMap<string, { sayings: Sayings; seq: number }>>(
    new Map(),
  )
  const said = useMemo(
    () =>
      new Map([...sayings].flatMap(([id, each]) => (each.seq > seq ? [[id, each.sayings]] : []))),
    [sayings, seq],
  )
  const isStale = useRef(false)
  useOthersChanges(visitId, seq)

  // What was given here before this page was loaded, and it was rendered without: it waited, or the page was kept from before.
  const atFirst = useRef(seq)
  useEffect(() => {
    void ownChangesSince(visitId, atFirst.current).then((changes) => {
      const before = lookChanges(changes)
      setMade((now) => [
        ...before.swept.filter(({ id }) => !now.some((own) => own.id === id)),
        ...now,
      ])
      if (before.given.length + before.taken.size + before.sayings.size === 0) return
      setGiven((now) => [
        ...before.given.filter(({ id }) => !now.some((own) => own.id === id)),
        ...now,
      ])
      setTaken((now) => new Map([...before.taken, ...now]))
      setSayings((now) => new Map([...before.sayings, ...now]))
    })
  }, [visitId])

  // A page that comes back from the browser's memory was rendered before.
  useEffect(() => {
    const comeBack = (): void => {
      if (isStale.current) refresh()
      isStale.current = false
    }
    window.addEventListener('popstate', comeBack)
    return () => window.removeEventListener('popstate', comeBack)
  }, [refresh])

  const record = useMemo<VisitRecord>(
    () => ({
      fresh,
      struck,
      swept,
      async sweep(payload) {
        const command = commandOf('keep-sweep', payload)
        const sweep = sweepOf(payload, command)
        setMade((before) => [...before, { ...sweep, seq: Infinity }])
        const answer = await sendCommand(command)
        isStale.current = true
        setMade((before) =>
          answer.ok
            ? before.map((each) => (each.id === sweep.id ? { ...sweep, seq: answer.seq } : each))
            : before.filter(({ id }) => answer.aside || id !== sweep.id),
        )
        return answer
      },
      async give(payload) {
        const command = commandOf('keep-look', payload)
        const look = shownLook(payload, command)
        setGiven((before) => [...before, { ...look, waiting: true, seq: Infinity }])
        const answer = await sendCommand(command)
        isStale.current = true
        setGiven((before) =>
          answer.ok
            ? before.map((each) => (each.id === look.id ? { ...look, seq: answer.seq } : each))
            : // Set aside it still stands here, as what waits does.
              before.filter(({ id }) => answer.aside || id !== look.id),
        )
        return answer
      },
      async strike({ id, commandId }) {
        if (!commandId) return { ok: false, message: 'It is from before changes could be undone.' }
        const answer = await send('undo', { visitId, commandId })
        isStale.current = true
        if (answer.ok) setTaken((before) => new Map([...before, [id, answer.seq]]))
        return answer
      },
      said,
      async say({ id, commandId }, more) {
        if (!commandId) return { ok: false, message: 'It is from before more could be said of it.' }
        const { reasons, ...rest } = more
        setSayings((before) => new Map([...before, [id, { sayings: more, seq: Infinity }]]))
        const answer = await send('say-why', {
          visitId,
          lookId: id,
          keptBy: commandId,
          reasons: [...reasons],
          ...rest,
        })
        isStale.current = true
        setSayings((before) => {
          // Said again meanwhile: what was said last is on its way.
          if (before.get(id)?.sayings !== more) return before
          const after = new Map(before)
          if (answer.ok) after.set(id, { sayings: more, seq: answer.seq })
          else if (!answer.aside) after.delete(id)
          return after
        })
        return answer
      },
    }),
    [fresh, struck, swept, said, visitId],
  )
  return <RecordContext value={record}>{children}</RecordContext>
}

/** What changes say of looks, given, taken back, said more of, and of sweeps. */
function lookChanges(changes: readonly OwnChange[]) {
  const given: GivenLook[] = []
  const swept: MadeSweep[] = []
  const taken = new Map<string, number>()
  const sayings = new Map<string, { sayings: Sayings; seq: number }>()
  for (const { command, seq } of changes.toSorted(
    (p, q) => (p.seq ?? Infinity) - (q.seq ?? Infinity),
  )) {
    const at = { seq: seq ?? Infinity }
    if (command.kind === 'keep-look') {
      const look = shownLook(command.payload as PayloadOf<'keep-look'>, command)
      given.push({ ...look, ...at, waiting: seq === null })
    } else if (command.kind === 'keep-sweep')
      swept.push({ ...sweepOf(command.payload as PayloadOf<'keep-sweep'>, command), ...at })
    else if (command.kind === 'undo') {
      const { commandId } = command.payload as PayloadOf<'undo'>
      const look = given.find((each) => each.commandId === commandId)
      if (look) taken.set(look.id, at.seq)
    } else if (command.kind === 'say-why') {
      const { lookId, reasons, ...said } = command.payload as PayloadOf<'say-why'>
      sayings.set(lookId, { sayings: { reasons: keysOf(reasons), ...said } as Sayings, ...at })
    }
  }
  return { given, swept, taken, sayings }
}

/** What waited since before has the words of then. */
const keysOf = (reasons: readonly Reason[]): Reason[] => reasons.map(reasonKey) as Reason[]

const sweepOf = (
  { sweepId, ...sweep }: PayloadOf<'keep-sweep'>,
  { madeAt, actor }: Pick<Command, 'madeAt' | 'actor'>,
): Sweep => ({ ...sweep, id: sweepId, by: actor, madeAt })

const shownLook = (
  { lookId, ...look }: PayloadOf<'keep-look'>,
  { id, madeAt, actor }: Pick<Command, 'id' | 'madeAt' | 'actor'>,
): ShownLook => ({
  ...look,
  reasons: keysOf(look.reasons),
  model: look.model && {
    ...look.model,
    judgement: judgementKey(look.model.judgement) as Judgement,
  },
  bestOf: look.bestOf ?? [],
  photoHash: null,
  id: lookId,
  commandId: id,
  madeAt,
  by: actor,
  retracted: false,
})

// Other devices' changes are asked for so often while the page is in front; those of this browser's pages are told at once.
const EVERY_MS = 4000

/** Shows what was changed in a visit with another device, or on another page of this browser. */
function useOthersChanges(visitId: string, seq: number): void {
  const refresh = useRefresh()
  const known = useRef(seq)
  useEffect(() => {
    known.current = Math.max(known.current, seq)
  }, [seq])
  useEffect(() => {
    async function ask(): Promise<void> {
      const answer = await fetch(`/api/visits/${visitId}/since/${known.current}`).catch(() => null)
      const since = await answerOf('Since', answer)
      // One of these may be this page's own, whose answer is on its way: asked again when it is here.
      if (!since || isSending()) return
      known.current = Math.max(known.current, ...since.places)
      if (!since.places.every(isShownHere)) refresh()
    }
    const seen = (): void => {
      if (document.visibilityState === 'visible') void ask()
    }
    const asking = setInterval(seen, EVERY_MS)
    const deaf = whenOtherPagesChange(visitId, () => void ask())
    document.addEventListener('visibilitychange', seen)
    window.addEventListener('focus', seen)
    return () => {
      clearInterval(asking)
      deaf()
      document.removeEventListener('visibilitychange', seen)
      window.removeEventListener('focus', seen)
    }
  }, [visitId, refresh])
}
