/**
 * A UUID (RFC 9562) of 32 hexadecimal digits, those of its version and variant set.
 *
 * @param version 4 for random digits, 8 for digits that follow from something
 */
export function uuidOfHex(hex: string, version: 4 | 8): string {
  const variant = '89ab'[parseInt(hex[16]!, 16) % 4]
  return [
    hex.slice(0, 8),
    hex.slice(8, 12),
    `${version}${hex.slice(13, 16)}`,
    `${variant}${hex.slice(17, 20)}`,
    hex.slice(20, 32),
  ].join('-')
}
