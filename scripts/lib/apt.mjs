import { run } from './prepare.mjs'

/** Installs packages of Debian's, as root or by way of sudo. */
export async function aptInstall(...names) {
  const isRoot = process.getuid?.() === 0
  const apt = (...args) => {
    const [program, ...rest] = isRoot ? ['apt-get', ...args] : ['sudo', 'apt-get', ...args]
    return run(program, rest, { DEBIAN_FRONTEND: 'noninteractive' })
  }
  await apt('update', '-qq')
  await apt('install', '-y', '-qq', '--no-install-recommends', ...names)
}
