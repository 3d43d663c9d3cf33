import { spawnSync } from 'node:child_process'
import { existsSync } from 'node:fs'

const PROGRAM = '/usr/bin/chromium-headless-shell'

/** Debian's Chromium, without its calls home: the application needs no network and neither does this. */
export const launchOptions = {
  executablePath: PROGRAM,
  args: [
    '--no-sandbox',
    '--disable-dev-shm-usage',
    '--disable-background-networking',
    '--disable-component-update',
    '--disable-sync',
    '--no-first-run',
  ],
}

/** Installs Debian's Chromium where it is missing. */
export function ensureBrowser() {
  if (existsSync(PROGRAM)) return
  console.error('Installing Debian’s Chromium…')
  const root = process.getuid?.() === 0
  const apt = (...args) => {
    const [program, ...rest] = root ? ['apt-get', ...args] : ['sudo', 'apt-get', ...args]
    const { status } = spawnSync(program, rest, {
      stdio: ['ignore', process.stderr, process.stderr],
      env: { ...process.env, DEBIAN_FRONTEND: 'noninteractive' },
    })
    if (status !== 0) throw new Error(`${program} ${rest.join(' ')} ended with ${status}`)
  }
  apt('update', '-qq')
  apt('install', '-y', '-qq', '--no-install-recommends', 'chromium-headless-shell')
}
