// The pages of one browser, on one device: they share its name, so each has to be told what the others did.
const NAME = 'elm-swatch-changes'

let channel: BroadcastChannel | null | undefined

const open = (): BroadcastChannel | null =>
  (channel ??= typeof BroadcastChannel === 'undefined' ? null : new BroadcastChannel(NAME))

/** Tells the other pages of this browser that a visit was changed. */
export const tellOtherPages = (visitId: string): void => open()?.postMessage(visitId)

/** Hears of a visit that another page of this browser changed; returns how to stop. */
export function whenOtherPagesChange(visitId: string, changed: () => void): () => void {
  const heard = ({ data }: MessageEvent): void => {
    if (data === visitId) changed()
  }
  open()?.addEventListener('message', heard)
  return () => open()?.removeEventListener('message', heard)
}
