import { getDocument } from 'pdfjs-dist/legacy/build/pdf.mjs'

/** The text of a PDF, page by page, line by line: words on one height from left to right. Read by pdf.js. */
export async function pdfLines(bytes: Uint8Array): Promise<string[][]> {
  const loading = getDocument({ data: new Uint8Array(bytes), verbosity: 0 })
  const pdf = await loading.promise
  const pages: string[][] = []
  for (let number = 1; number <= pdf.numPages; number++) {
    const { items } = await (await pdf.getPage(number)).getTextContent()
    const lines = new Map<number, { x: number; text: string }[]>()
    for (const item of items) {
      if (!('str' in item) || item.str.trim() === '') continue
      const [, , , , x, y] = item.transform as number[]
      const key = [...lines.keys()].find((each) => Math.abs(each - y!) < 2) ?? y!
      lines.set(key, [...(lines.get(key) ?? []), { x: x!, text: item.str }])
    }
    pages.push(
      [...lines]
        .sort(([p], [q]) => q - p)
        .map(([, words]) =>
          words
            .sort((p, q) => p.x - q.x)
            .map(({ text }) => text)
            .join(' ')
            .replace(/\s+/g, ' ')
            .trim(),
        ),
    )
  }
  await loading.destroy()
  return pages
}
