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
      const rgb = [1, 3, 5].map((i) => String(parseInt(hex.slice(i, i + 2), 16)).padStart(3))
      return `${rgb.join(' ')}\t${name.replace(/[\r\n\t]/g, ' ')}`
    }),
    '',
  ].join('\n')
}
