import { bytesOfHex } from '../core/colour/srgb'

/** Colours as a GIMP palette file, each as the screen shows it: six hex digits. */
export function writeGimpPalette(
  title: string,
  colours: readonly { readonly name: string; readonly hex: string }[],
): string {
  return [
    'GIMP Palette',
    `Name: ${title.replace(/[\r\n]/g, ' ')}`,
    'Columns: 4',
    '#',
    ...colours.map(({ hex, name }) => {
      const rgb = bytesOfHex(hex).map((byte) => String(byte).padStart(3))
      return `${rgb.join(' ')}\t${name.replace(/[\r\n\t]/g, ' ')}`
    }),
    '',
  ].join('\n')
}
