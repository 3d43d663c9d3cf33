import type { SaidOfFile } from '../formats/measured-colour'

/** A file that somebody sent, to be read; cloneable. */
export type ReadFileRequest =
  | { readonly kind: 'visit'; readonly bytes: Uint8Array }
  | { readonly kind: 'measurement'; readonly text: string; readonly said: SaidOfFile }
