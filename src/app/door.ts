import { hostname, networkInterfaces } from 'node:os'
import { sealData, unsealData } from 'iron-session'
import { z } from 'zod'
import { isOwnProgram } from '@/store/control'
import { entrySecret } from '@/store/passcode'
import { dataDirFromEnvironment } from '@/store/store'

const LOOPBACK_NAMES = ['127.0.0.1', 'localhost', '[::1]']

/** Whether other devices reach this server: then a passcode is asked for. Said by what starts it. */
export const isWide = (): boolean => process.env.ELM_WIDE === 'yes'

/** Whether a request was sent to this machine by a name of its own, not by one that merely leads here. */
export function isOwnHost(host: string | null): boolean {
  const name = host?.replace(/:\d+$/, '').toLowerCase()
  if (name === undefined) return false
  return LOOPBACK_NAMES.includes(name) || (isWide() && namesInNetwork().includes(name))
}

const namesInNetwork = (): string[] => {
  const own = hostname().toLowerCase()
  const addresses = Object.values(networkInterfaces()).flatMap((each) =>
    (each ?? []).map(({ address, family }) => (family === 'IPv6' ? `[${address}]` : address)),
  )
  const named = (process.env.ELM_NAMES ?? '').toLowerCase().split(',').filter(Boolean)
  return [own, `${own}.local`, ...addresses, ...named]
}

/** Whether a write comes from a page of this very application, by somebody who may: not from someone else's page. */
export const isOwnPage = async (request: Request): Promise<boolean> =>
  isFromHere(request) && (await hasEntered(request))

/** The same, whoever it is: where entering is asked for. */
export function isFromHere(request: Request): boolean {
  const host = request.headers.get('host')
  const origin = request.headers.get('origin')
  return isOwnHost(host) && (origin === `http://${host}` || origin === `https://${host}`)
}

/** Whether another site asks for something that it could then look into; following a link from there is no such thing. */
export function isCrossSite(request: Request): boolean {
  const site = request.headers.get('sec-fetch-site')
  if (site !== 'cross-site' && site !== 'same-site') return false
  return !(
    request.method === 'GET' &&
    request.headers.get('sec-fetch-mode') === 'navigate' &&
    request.headers.get('sec-fetch-dest') === 'document'
  )
}

const COOKIE = 'elm-entry'
const ENTRY_SECONDS = 7 * 86_400
const Entry = z.object({ entered: z.literal(true) })

/** Whether whoever asks has said the passcode, where one is asked for. */
export async function hasEntered(request: Request): Promise<boolean> {
  if (!isWide() || isOwnProgram(request)) return true
  const secret = entrySecret(dataDirFromEnvironment())
  const cookies = (request.headers.get('cookie') ?? '').split('; ')
  const sealed = cookies.find((each) => each.startsWith(`${COOKIE}=`))?.slice(COOKIE.length + 1)
  if (secret === null || !sealed) return false
  const entry = await unsealData(sealed, { password: secret, ttl: ENTRY_SECONDS }).catch(() => null)
  return Entry.safeParse(entry).success
}

/** The cookie of somebody who has said the passcode; it ends by itself. */
export async function entryCookie(request: Request): Promise<string> {
  const password = entrySecret(dataDirFromEnvironment())!
  return cookieOf(
    request,
    await sealData({ entered: true }, { password, ttl: ENTRY_SECONDS }),
    ENTRY_SECONDS,
  )
}

/** The cookie of somebody who leaves. */
export const leavingCookie = (request: Request): string => cookieOf(request, '', 0)

function cookieOf(request: Request, value: string, seconds: number): string {
  const secure = request.headers.get('origin')?.startsWith('https:') ? '; Secure' : ''
  return `${COOKIE}=${value}; Path=/; HttpOnly; SameSite=Strict; Max-Age=${seconds}${secure}`
}
