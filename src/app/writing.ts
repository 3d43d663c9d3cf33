import { NotNowError } from '@/commands/keep-change'
import { refusedInWords } from '@/db/refused-words'
import { isUnwritable, diskWords } from '@/store/disk'
import { applicationStore } from '@/store/store'
import { isOwnPage } from './door'
import { logError } from './log'

export const refused = (message: string, status: number): Response =>
  Response.json({ ok: false, message }, { status })

interface What {
  /** What is taken, in the plural: 'photos'. */
  readonly takes: string
  readonly mostBytes: number
  /** Whether the store is written to, so that there has to be room in it. */
  readonly keeps?: boolean
}

/**
 * A route that takes something in: from this application's own page only, of a length that is said and not too great, and
 * while the store has room for it. What cannot be kept is refused in words, whatever happens.
 */
export const taking =
  <Context>(
    { takes, mostBytes, keeps = true }: What,
    take: (request: Request, context: Context) => Promise<Response>,
  ) =>
  async (request: Request, context: Context): Promise<Response> => {
    // Some of these are past the proxy, so the same is asked here: from this page, on this machine, by somebody who may?
    if (!(await isOwnPage(request)))
      return refused(`Elm Swatch takes ${takes} from its own page only.`, 403)
    const hasBody = request.method !== 'DELETE'
    const said = request.headers.get('content-length')
    const bytes = hasBody ? Number(said ?? Infinity) : 0
    if (!(bytes <= mostBytes))
      return refused(
        `Expected at most ${Math.ceil(mostBytes / 1e6)} MB of ${takes} at a time, got ${said ?? 'no length'}.`,
        413,
      )
    try {
      const why = keeps ? await (await applicationStore()).refusesNow(bytes) : null
      return why === null ? await take(request, context) : refused(why, 503)
    } catch (error) {
      if (error instanceof NotNowError) return refused(error.message, 503)
      const words = refusedInWords(error)
      if (words) return refused(words, 422)
      logError(`Taking ${takes} in`, error)
      return isUnwritable(error)
        ? refused(`None of this was saved: ${diskWords(error)}.`, 503)
        : refused('Something went wrong in the store; none of this was saved.', 500)
    }
  }
