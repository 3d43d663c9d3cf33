const AGAIN_MS = 2000

/** A part of a page, asked for until it comes: a server that is away for a moment costs the wait, not the page. */
export async function whenever<T>(load: () => Promise<T>): Promise<T> {
  for (;;)
    try {
      return await load()
    } catch {
      await new Promise((resolve) => setTimeout(resolve, AGAIN_MS))
    }
}
