import { execFile } from 'node:child_process'
import { promisify } from 'node:util'

/** What `npm run backup` or `npm run restore` says, whether it goes well or not. */
export const runOn = (
  env: Readonly<Record<string, string>>,
  what: 'backup' | 'restore',
  ...args: string[]
): Promise<string> =>
  promisify(execFile)(process.execPath, ['--import', 'tsx', `scripts/${what}.ts`, ...args], {
    env: { ...process.env, ...env },
  }).then(
    ({ stdout, stderr }) => stdout + stderr,
    ({ stdout, stderr }: { stdout: string; stderr: string }) => stdout + stderr,
  )
