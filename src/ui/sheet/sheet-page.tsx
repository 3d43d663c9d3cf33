import type { SheetBlock, SheetDocument } from '@/core/sheet/sheet-document'

/** A sheet as it is read on the screen and printed; the PDF is set from the same. */
export function SheetPage({ sheet }: { readonly sheet: SheetDocument }) {
  const { title, household, placeName, date, consultant, blocks, foot } = sheet
  return (
    <article aria-label={title} className="sheet">
      <header className="border-b-2 border-ink pb-3">
        <h1 className="text-head">{title}</h1>
        <p className="text-small font-semibold">{household}</p>
        <p className="text-small">
          {[placeName, date, `Consultant: ${consultant}`].filter(Boolean).join(' · ')}
        </p>
      </header>
      {blocks.map((block, at) => (
        <Block key={at} block={block} />
      ))}
      <footer className="mt-6 border-t border-rule pt-2 text-fine text-dim">{foot}</footer>
    </article>
  )
}

function Block({ block }: { readonly block: SheetBlock }) {
  switch (block.kind) {
    case 'heading':
      return <h2 className="mt-5 mb-1 break-after-avoid text-title">{block.text}</h2>
    case 'subheading':
      return <h3 className="mt-3 break-after-avoid text-small font-semibold">{block.text}</h3>
    case 'text':
      return (
        <p className={`py-1 text-small ${block.isStrong ? 'font-semibold' : ''}`}>{block.text}</p>
      )
    case 'list':
      return (
        <ul className="list-disc py-1 pl-5 text-small">
          {block.items.map((item) => (
            <li key={item}>{item}</li>
          ))}
        </ul>
      )
    case 'caution':
      return (
        <p className="my-1 break-inside-avoid border-l-4 border-ink pl-3 text-small font-medium">
          {block.text}
        </p>
      )
    case 'entry':
      return <Entry block={block} />
    case 'table':
      return <Table block={block} />
    case 'pictures':
      return (
        <div className="break-inside-avoid py-2">
          <div className="flex gap-2 max-sm:flex-col">
            {block.pictures.map(({ caption, src }) => (
              <figure key={src} className="min-w-0 flex-1">
                {/* eslint-disable-next-line @next/next/no-img-element -- made at this size, for this sheet */}
                <img src={src} alt={caption} width={480} height={280} className="h-auto w-full" />
                <figcaption className="text-fine">{caption}</figcaption>
              </figure>
            ))}
          </div>
          <p className="text-fine text-dim">{block.foot}</p>
        </div>
      )
    case 'signature':
      return (
        <div className="mt-14 flex break-inside-avoid gap-6">
          {block.lines.map((line) => (
            <p key={line} className="flex-1 border-t border-ink pt-1 text-fine text-dim">
              {line}, date
            </p>
          ))}
        </div>
      )
  }
}

function Entry({ block }: { readonly block: Extract<SheetBlock, { readonly kind: 'entry' }> }) {
  const { swatch, title, figures, lines } = block
  return (
    <div className="flex break-inside-avoid gap-4 border-b border-rule py-3 max-sm:flex-col">
      <div className="w-56 shrink-0">
        <svg
          role="img"
          aria-label={`${swatch.code}: ${swatch.bands.map(({ light }) => light).join(', ')}`}
          className="block h-20 w-full"
          viewBox={`0 0 ${swatch.bands.length} 1`}
          preserveAspectRatio="none"
          shapeRendering="crispEdges"
        >
          {swatch.bands.map(({ light, hex }, at) => (
            <rect key={light} x={at} width={1.01} height={1} fill={hex} />
          ))}
        </svg>
        <p className="text-fine text-dim">{swatch.bands.map(({ light }) => light).join(' · ')}</p>
      </div>
      <div className="min-w-0 flex-1 text-small break-words">
        <p className="text-body leading-6 font-display">{title}</p>
        <p className="text-fine text-dim">{figures}</p>
        {lines.map((line) => (
          <p key={line}>{line}</p>
        ))}
      </div>
    </div>
  )
}

function Table({ block }: { readonly block: Extract<SheetBlock, { readonly kind: 'table' }> }) {
  const { title, columns, rows } = block
  const all = columns.reduce((sum, { width }) => sum + width, 0)
  return (
    <div className="overflow-x-auto" role="region" aria-label={title} tabIndex={0}>
      <table className="my-1 w-full min-w-[44rem] table-fixed text-small print:min-w-0">
        <caption className="sr-only">{title}</caption>
        <thead>
          <tr className="border-b border-ink text-left text-fine">
            {columns.map((column) => (
              <th
                key={column.title}
                scope="col"
                style={{ width: `${(100 * column.width) / all}%` }}
                className={`p-1 font-semibold ${column.isFigure ? 'text-right' : ''}`}
              >
                {column.title}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {rows.map((cells, at) => (
            <tr key={at} className="break-inside-avoid border-b border-rule align-top">
              {cells.map((cell, column) => (
                <td
                  key={columns[column]!.title}
                  className={`p-1 break-words ${columns[column]!.isFigure ? 'text-right tabular-nums' : ''}`}
                >
                  {cell}
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  )
}
