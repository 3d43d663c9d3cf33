import { spawnSync } from 'node:child_process'

/** Installs a package of Debian's, as root or by way of sudo. */
export function aptInstall(name) {
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
  apt('install', '-y', '-qq', '--no-install-recommends', name)
}
