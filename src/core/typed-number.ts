/** A number as people type it, with a point or a comma; null for anything else. */
export function typedNumber(text: string): number | null {
  const trimmed = text.trim()
  return /^[-+−]?\d+([.,]\d+)?$/.test(trimmed)
    ? Number(trimmed.replace(',', '.').replace('−', '-'))
    : null
}

/** "0 to 100 %, got “x”": what was expected of a number and what came. */
export function expectedNumber(least: number, most: number, unit: string, text: string): string {
  const range = `${least.toLocaleString('en-GB')} to ${most.toLocaleString('en-GB')}${unit && ` ${unit}`}`
  return `Expected ${range}, got ${text.trim() === '' ? 'nothing' : `“${text.trim()}”`}.`
}
