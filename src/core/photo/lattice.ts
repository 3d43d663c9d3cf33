import { finiteAll } from '../check'
import { checkedPhoto, type PhotoBytes } from './pixels'

// Sixteen steps a channel: between two nodes what light does to a colour is straight to half a byte.
const STEP = 17
const SIDE = 255 / STEP + 1

/** An encoded sRGB colour, 0 to 255 a channel. */
export type Bytes3 = readonly [r: number, g: number, b: number]

/** The colours of a photo as places between few nodes: what is worked out for the nodes is known for every pixel. */
export interface Lattice {
  /** The colours that something is worked out for. */
  readonly nodes: readonly Bytes3[]
  /**
   * The picture where each node has become another colour.
   *
   * @param colours three numbers a node, encoded 0 to 255
   */
  readonly through: (colours: Float64Array) => PhotoBytes
}

/** Trilinear interpolation of the cube of colours (as a device's colour table is read), over the nodes that a photo needs. */
export function latticeOf(photo: PhotoBytes): Lattice {
  const { bytes, width, height } = checkedPhoto(photo)
  const at = new Map<number, number>()
  const nodes: Bytes3[] = []
  const nodeAt = (r: number, g: number, b: number): number => {
    const key = (r * SIDE + g) * SIDE + b
    const known = at.get(key)
    if (known !== undefined) return known
    at.set(key, nodes.length)
    nodes.push([r * STEP, g * STEP, b * STEP])
    return nodes.length - 1
  }
  const count = width * height
  const corners = new Uint16Array(8 * count)
  const shares = new Float32Array(8 * count)
  for (let i = 0; i < count; i++) {
    const low = [0, 1, 2].map((k) => Math.min(SIDE - 2, Math.floor(bytes[4 * i + k]! / STEP)))
    const on = low.map((step, k) => bytes[4 * i + k]! / STEP - step)
    for (let corner = 0; corner < 8; corner++) {
      const up = [corner & 1, (corner >> 1) & 1, corner >> 2]
      const share = up.reduce((product, u, k) => product * (u ? on[k]! : 1 - on[k]!), 1)
      shares[8 * i + corner] = share
      corners[8 * i + corner] =
        share === 0 ? 0 : nodeAt(low[0]! + up[0]!, low[1]! + up[1]!, low[2]! + up[2]!)
    }
  }
  return {
    nodes,
    through(colours) {
      if (colours.length !== 3 * nodes.length)
        throw new RangeError(
          `${nodes.length} nodes need three numbers each, got ${colours.length} numbers`,
        )
      finiteAll(colours, 'colours of a lattice')
      const made = new Uint8ClampedArray(4 * count)
      for (let i = 0; i < count; i++) {
        let [r, g, b] = [0, 0, 0]
        for (let corner = 8 * i; corner < 8 * i + 8; corner++) {
          const share = shares[corner]!
          const node = 3 * corners[corner]!
          r += share * colours[node]!
          g += share * colours[node + 1]!
          b += share * colours[node + 2]!
        }
        made[4 * i] = r
        made[4 * i + 1] = g
        made[4 * i + 2] = b
        made[4 * i + 3] = 255
      }
      return { bytes: made, width, height }
    },
  }
}
