import PDFDocument from 'pdfkit'
import type { Paper, SheetBlock, SheetColumn, SheetDocument } from '../../core/sheet/sheet-document'
import { FONTS, type FontName } from './fonts'

type Doc = InstanceType<typeof PDFDocument>
type Block<K extends SheetBlock['kind']> = Extract<SheetBlock, { readonly kind: K }>

const PAGES = { a4: 'A4', letter: 'LETTER' } as const
const MARGIN = 48
const FOOT_HEIGHT = 42
const INK = '#000000'
const DIM = '#595959'
const RULE = '#8c8c8c'

/**
 * A sheet as PDF with real text, its pages numbered.
 *
 * @param paper A4, or US Letter
 * @returns the bytes of the file
 */
export async function writeSheetPdf(sheet: SheetDocument, paper: Paper): Promise<Uint8Array> {
  const doc = new PDFDocument({
    size: PAGES[paper],
    margins: { top: MARGIN, left: MARGIN, right: MARGIN, bottom: MARGIN + FOOT_HEIGHT },
    bufferPages: true,
    lang: 'en',
    displayTitle: true,
    info: {
      Title: `${sheet.title}, ${sheet.household}`,
      Author: sheet.consultant,
      Creator: 'Elm Swatch',
    },
  })
  for (const [name, path] of Object.entries(FONTS)) doc.registerFont(name, path)
  const bytes = collected(doc)
  head(doc, sheet)
  for (const block of sheet.blocks) put(doc, block)
  footPages(doc, sheet)
  doc.end()
  return bytes
}

function collected(doc: Doc): Promise<Uint8Array> {
  return new Promise((resolve, reject) => {
    const chunks: Buffer[] = []
    doc.on('data', (chunk: Buffer) => chunks.push(chunk))
    doc.on('end', () => resolve(Buffer.concat(chunks)))
    doc.on('error', reject)
  })
}

const widthOf = (doc: Doc): number => doc.page.width - 2 * MARGIN
const bottomOf = (doc: Doc): number => doc.page.height - MARGIN - FOOT_HEIGHT

interface Style {
  readonly font: FontName
  readonly size: number
  readonly colour?: string
}
const TEXT: Style = { font: 'text', size: 9.5 }
const STRONG: Style = { font: 'strong', size: 9.5 }
const FINE: Style = { font: 'text', size: 8, colour: DIM }
const CELL: Style = { font: 'text', size: 8.5 }
const CELL_HEAD: Style = { font: 'strong', size: 8 }

const style = (doc: Doc, { font, size, colour = INK }: Style): Doc =>
  doc.font(font).fontSize(size).fillColor(colour)

/** Height of a text set in a style. */
const heightOf = (doc: Doc, text: string, of: Style, width: number): number =>
  style(doc, of).heightOfString(text, { width, lineGap: 1.5 })

/** Sets a text at the present height, from one page to the next where it has to. */
function set(doc: Doc, text: string, of: Style, x = MARGIN, width = widthOf(doc)): void {
  style(doc, of).text(text, x, doc.y, { width, lineGap: 1.5 })
}

/** Begins a new page where so much does not fit on this one. */
function room(doc: Doc, height: number): void {
  if (doc.y + height > bottomOf(doc)) doc.addPage()
}

function rule(doc: Doc, colour = RULE): void {
  doc
    .moveTo(MARGIN, doc.y)
    .lineTo(MARGIN + widthOf(doc), doc.y)
    .lineWidth(0.5)
    .strokeColor(colour)
    .stroke()
}

function head(doc: Doc, { title, household, placeName, date, consultant }: SheetDocument): void {
  set(doc, title, { font: 'display', size: 24 })
  set(doc, household, STRONG)
  set(doc, [placeName, date, `Consultant: ${consultant}`].filter(Boolean).join('  ·  '), TEXT)
  doc.y += 6
  rule(doc, INK)
  doc.y += 8
}

function put(doc: Doc, block: SheetBlock): void {
  switch (block.kind) {
    case 'heading':
      // Not alone at the foot of a page.
      room(doc, 90)
      doc.y += 8
      set(doc, block.text, { font: 'display', size: 15 })
      doc.y += 3
      return
    case 'subheading':
      room(doc, 40)
      doc.y += 3
      set(doc, block.text, STRONG)
      return
    case 'text':
      set(doc, block.text, block.isStrong ? STRONG : TEXT)
      doc.y += 3
      return
    case 'list':
      for (const item of block.items) hanging(doc, '–', item, TEXT)
      doc.y += 3
      return
    case 'caution':
      hanging(doc, '!', block.text, STRONG)
      return
    case 'entry':
      return entry(doc, block)
    case 'table':
      return table(doc, block)
    case 'pictures':
      return pictures(doc, block)
    case 'signature':
      return signature(doc, block)
  }
}

const INDENT = 14

function hanging(doc: Doc, mark: string, text: string, of: Style): void {
  const width = widthOf(doc) - INDENT
  room(doc, Math.min(heightOf(doc, text, of, width), 60))
  const top = doc.y
  set(doc, mark, of, MARGIN, INDENT)
  doc.y = top
  set(doc, text, of, MARGIN + INDENT, width)
  doc.y += 1.5
}

const SWATCH_WIDTH = 132
const SWATCH_HEIGHT = 54

/** A large swatch, its lights touching, and beside it what is said of it. */
function entry(doc: Doc, { swatch, title, figures, lines }: Block<'entry'>): void {
  const x = MARGIN + SWATCH_WIDTH + 14
  const width = widthOf(doc) - SWATCH_WIDTH - 14
  const lights = swatch.bands.map(({ light }) => light).join(' · ')
  const under = heightOf(doc, lights, FINE, SWATCH_WIDTH)
  const text =
    heightOf(doc, title, { font: 'display', size: 13 }, width) +
    heightOf(doc, figures, FINE, width) +
    lines.reduce((sum, line) => sum + heightOf(doc, line, TEXT, width), 0)
  const height = Math.max(SWATCH_HEIGHT + under + 4, text)
  const page = doc.page.height - 2 * MARGIN - FOOT_HEIGHT
  room(doc, Math.min(height + 12, page))
  doc.y += 4
  const top = doc.y
  const band = SWATCH_WIDTH / Math.max(1, swatch.bands.length)
  swatch.bands.forEach(({ hex }, at) => {
    doc
      .rect(MARGIN + at * band, top, band + (at < swatch.bands.length - 1 ? 0.5 : 0), SWATCH_HEIGHT)
      .fill(hex)
  })
  doc.y = top + SWATCH_HEIGHT + 2
  set(doc, lights, FINE, MARGIN, SWATCH_WIDTH)
  const left = doc.y
  doc.y = top - 2
  const pageOf = (): number => doc.bufferedPageRange().count
  const before = pageOf()
  set(doc, title, { font: 'display', size: 13 }, x, width)
  set(doc, figures, FINE, x, width)
  for (const line of lines) set(doc, line, TEXT, x, width)
  // What runs on to another page begins at its own height there.
  doc.y = (pageOf() === before ? Math.max(left, doc.y) : doc.y) + 6
  rule(doc)
  doc.y += 6
}

const PICTURE_GAP = 8
const PICTURE_SHAPE = 0.58

/** Pictures side by side, each with its words under it. */
function pictures(doc: Doc, { pictures: shown, foot }: Block<'pictures'>): void {
  const width = (widthOf(doc) - PICTURE_GAP * (shown.length - 1)) / shown.length
  const height = width * PICTURE_SHAPE
  room(doc, height + 50)
  const top = doc.y + 2
  const under = shown.map(({ caption, jpeg }, at) => {
    const x = MARGIN + at * (width + PICTURE_GAP)
    if (jpeg) doc.image(Buffer.from(jpeg), x, top, { fit: [width, height] })
    doc.y = top + height + 2
    set(doc, caption, FINE, x, width)
    return doc.y
  })
  doc.y = Math.max(...under)
  set(doc, foot, FINE)
  doc.y += 6
}

const CELL_PAD = 4

/** Columns with their heads on every page that the table runs over; a row is never cut in two unless it fills a page. */
function table(doc: Doc, { columns, rows }: Block<'table'>): void {
  const full = widthOf(doc)
  const shares = columns.reduce((sum, { width }) => sum + width, 0)
  const widths = columns.map(({ width }) => (width / shares) * full)
  const lefts = widths.map((_, at) => MARGIN + widths.slice(0, at).reduce((sum, w) => sum + w, 0))
  const heightOfRow = (cells: readonly string[], of: Style): number =>
    Math.max(
      ...cells.map((cell, at) => heightOf(doc, cell || ' ', of, widths[at]! - 2 * CELL_PAD)),
    ) +
    2 * CELL_PAD
  const row = (cells: readonly string[], of: Style): void => {
    const top = doc.y
    const height = heightOfRow(cells, of)
    cells.forEach((cell, at) => {
      style(doc, of).text(cell, lefts[at]! + CELL_PAD, top + CELL_PAD, {
        width: widths[at]! - 2 * CELL_PAD,
        lineGap: 1.5,
        align: isFigure(columns[at]) ? 'right' : 'left',
        ...(isFigure(columns[at]) && { features: ['tnum'] }),
      })
    })
    doc.y = top + height
    rule(doc)
  }
  const titles = columns.map(({ title }) => title)
  const heading = (): void => row(titles, CELL_HEAD)
  const page = doc.page.height - 2 * MARGIN - FOOT_HEIGHT
  room(
    doc,
    heightOfRow(titles, CELL_HEAD) + Math.min(page / 2, heightOfRow(rows[0] ?? titles, CELL)),
  )
  heading()
  for (const cells of rows) {
    // What would fill most of a page is set as lines, which may run on.
    if (heightOfRow(cells, CELL) > page / 2) {
      cells.forEach((cell, at) => set(doc, `${titles[at]}: ${cell}`, CELL))
      rule(doc)
      doc.y += 4
      continue
    }
    if (doc.y + heightOfRow(cells, CELL) > bottomOf(doc)) {
      doc.addPage()
      heading()
    }
    row(cells, CELL)
  }
  doc.y += 6
}

const isFigure = (column: SheetColumn | undefined): boolean => column?.isFigure === true

function signature(doc: Doc, { lines }: Block<'signature'>): void {
  room(doc, 70)
  doc.y += 44
  const top = doc.y
  const width = (widthOf(doc) - 24 * (lines.length - 1)) / lines.length
  lines.forEach((line, at) => {
    const x = MARGIN + at * (width + 24)
    doc
      .moveTo(x, top)
      .lineTo(x + width, top)
      .lineWidth(0.5)
      .strokeColor(INK)
      .stroke()
    doc.y = top + 3
    set(doc, `${line}, date`, FINE, x, width)
  })
  doc.y += 8
}

function footPages(doc: Doc, { title, household, date, foot }: SheetDocument): void {
  const { start, count } = doc.bufferedPageRange()
  for (let page = start; page < start + count; page++) {
    doc.switchToPage(page)
    // Below the margin nothing may break into another page.
    const { bottom } = doc.page.margins
    doc.page.margins.bottom = 0
    const top = doc.page.height - MARGIN - FOOT_HEIGHT + 10
    doc.y = top
    rule(doc)
    style(doc, FINE).text(foot, MARGIN, top + 5, {
      width: widthOf(doc),
      height: 22,
      ellipsis: true,
    })
    const line = top + 29
    style(doc, FINE).text(`Elm Swatch · ${title} · ${household} · ${date}`, MARGIN, line, {
      width: widthOf(doc) - 80,
      height: 11,
      ellipsis: true,
    })
    style(doc, FINE).text(`page ${page - start + 1} of ${count}`, MARGIN, line, {
      width: widthOf(doc),
      align: 'right',
    })
    doc.page.margins.bottom = bottom
  }
}
