import { z } from 'zod'
import { insertPhoto } from '../store/photos'
import { kind } from './kind'

/** A photo that lies in the store by the hash of its bytes. */
export const keepPhoto = kind({
  payload: z.object({
    hash: z.string().regex(/^[0-9a-f]{64}$/),
    widthPx: z.int().min(1).max(2048),
    heightPx: z.int().min(1).max(2048),
    byteLength: z.int().positive(),
  }),
  visitOf: () => null,
  write: (tx, photo, { receivedAt }) => insertPhoto(tx, photo, receivedAt),
  sentence: ({ widthPx, heightPx }) => `A photo of ${widthPx} × ${heightPx}`,
})
