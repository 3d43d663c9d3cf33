import { execFileSync, spawn } from 'node:child_process'
import { mkdirSync, renameSync } from 'node:fs'
import { join } from 'node:path'
import { createInterface } from 'node:readline'

const ROOT = new URL('../..', import.meta.url).pathname

let built: string | null = null

/** The hand as one file: begun hundreds of times, it would be compiled each time. */
function hand(): string {
  if (built) return built
  mkdirSync(join(ROOT, '.cache'), { recursive: true })
  const [aside, file] = [`hand-${process.pid}.mjs`, 'hand.mjs'].map((name) =>
    join(ROOT, '.cache', name),
  ) as [string, string]
  const how = ['--bundle', '--platform=node', '--format=esm', '--packages=external']
  execFileSync(
    join(ROOT, 'node_modules/.bin/esbuild'),
    ['scripts/faults/hand.ts', ...how, '--log-level=warning', `--outfile=${aside}`],
    { cwd: ROOT, stdio: ['ignore', 'ignore', 'inherit'] },
  )
  // Another run may be at it.
  renameSync(aside, file)
  return (built = file)
}

interface Surroundings {
  readonly apart?: boolean
  readonly env?: Readonly<Record<string, string>>
}

/** A hand at work on a store, in a process of its own. */
export interface Run {
  /** What it has said so far. */
  readonly lines: readonly string[]
  /** Resolves once so many lines begin with a word, or it has ended. */
  until(word: string, times?: number): Promise<void>
  /** Kills it as a power switch would, and resolves once it is gone. */
  kill(): Promise<void>
  readonly ended: Promise<void>
}

/** @param given `apart` in a process namespace of its own, where it sees no other process: what a container does */
export function start(
  [what, ...more]: readonly [what: string, dir: string, ...more: (string | number)[]],
  { apart = false, env = {} }: Surroundings = {},
): Run {
  const args = [hand(), what, ...more.map(String)]
  const [program, ...before] = apart
    ? ['unshare', '--pid', '--fork', '--mount-proc', process.execPath]
    : [process.execPath]
  const child = spawn(program!, [...before, ...args], {
    cwd: ROOT,
    stdio: ['pipe', 'pipe', 'inherit'],
    env: { ...process.env, ...env },
  })
  const lines: string[] = []
  const waiting = new Set<() => void>()
  createInterface({ input: child.stdout }).on('line', (line) => {
    lines.push(line)
    for (const look of waiting) look()
  })
  // Closed, not exited: then all that it said has come.
  const ended = new Promise<void>((resolve) => child.on('close', () => resolve()))
  return {
    lines,
    ended,
    until: (word, times = 1) =>
      new Promise((resolve) => {
        const look = () => {
          if (lines.filter((line) => line.startsWith(word)).length < times) return
          waiting.delete(look)
          resolve()
        }
        waiting.add(look)
        void ended.then(resolve)
        look()
      }),
    kill: () => {
      child.kill('SIGKILL')
      return ended
    },
  }
}

/** The looks whose keeping was acknowledged. */
export const acknowledgedBy = ({ lines }: Run): string[] =>
  lines.filter((line) => line.startsWith('kept ')).map((line) => line.slice(5))

export interface Checked {
  /** Why the store was not opened; null where it was. */
  readonly refused: string | null
  /** How often each look stands. */
  readonly stands: ReadonlyMap<string, number>
  readonly notes: readonly string[]
}

/** Opens a store anew and says what is in it. */
export async function check(dir: string, given: Surroundings = {}): Promise<Checked> {
  const run = start(['check', dir], given)
  await run.ended
  const after = (word: string) =>
    run.lines
      .filter((line) => line.startsWith(`${word} `))
      .map((line) => line.slice(word.length + 1))
  return {
    refused: after('refused')[0] ?? (after('checked').length > 0 ? null : 'it died'),
    stands: new Map(
      after('stands').map((line) => {
        const [id, times] = line.split(' ')
        return [id!, Number(times)]
      }),
    ),
    notes: after('note'),
  }
}
