import type { output } from 'zod/mini'
import type * as Shapes from './answer-shapes'

/**
 * What the server answered, in its shape; undefined where nobody did, or it is of another shape. The shapes are fetched
 * with the first answer.
 */
export async function answerOf<K extends keyof typeof Shapes>(
  shape: K,
  response: Response | null,
): Promise<output<(typeof Shapes)[K]> | undefined> {
  if (!response) return undefined
  try {
    const { [shape]: known } = await import('./answer-shapes')
    return known.parse(await response.json()) as output<(typeof Shapes)[K]>
  } catch {
    return undefined
  }
}
