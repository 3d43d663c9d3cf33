import { existsSync } from 'node:fs'
import { aptInstall } from './apt.mjs'

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
export async function ensureBrowser() {
  if (existsSync(PROGRAM)) return
  console.error('Installing Debian’s Chromium…')
  await aptInstall('chromium-headless-shell')
}
