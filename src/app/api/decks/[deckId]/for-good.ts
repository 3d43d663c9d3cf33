/** A deck that is ready never changes, and its address names the model: kept by the browser for good. */
export const FOR_GOOD = { 'cache-control': 'private, max-age=31536000, immutable' } as const
