/** The first letter of words that begin a sentence, large. */
export const capital = (words: string): string => words.charAt(0).toUpperCase() + words.slice(1)

/** "2 windows", "1 window". */
export const counted = (count: number, what: string): string =>
  `${count} ${what}${count === 1 ? '' : 's'}`

/** "Hall, Kitchen and Study"; nothing of no names. */
export const listed = (names: readonly string[]): string =>
  names.length < 2 ? (names[0] ?? '') : `${names.slice(0, -1).join(', ')} and ${names.at(-1)}`

/** "12.4 MB"; little is "less than 0.1 MB". */
export const megabytesSaid = (bytes: number): string =>
  bytes < 100_000 ? 'less than 0.1 MB' : `${(bytes / 1e6).toFixed(1)} MB`
