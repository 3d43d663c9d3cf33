import { useState } from 'react'
import { OWN } from '@/core/paint/measured-for'
import type { ReadingEvidence } from '@/core/paint/reading-evidence'
import { spectrumText } from '@/core/paint/typed-reading'
import type { PhotographedColour } from '../photo/photo-reader'
import {
  emptyDraft,
  isEmpty,
  labTexts,
  MOST_COLOURS,
  withAnother,
  withBrought,
  withoutOne,
  type ColourDraft,
  type ReadBy,
} from './colour-draft'
import type { Measured } from './measurement-file'

/** The colours of a keeper as they are entered, the one at hand among them, and every way in which one comes in. */
export function useDrafts(first: readonly ColourDraft[]) {
  const [drafts, setDrafts] = useState(first)
  const [atHand, setAtHand] = useState(0)
  const draft = drafts[atHand] ?? drafts[0]
  const change = (place: number, changed: Partial<ColourDraft>): void =>
    setDrafts(drafts.map((each, i) => (i === place ? { ...each, ...changed } : each)))
  const bring = (brought: Partial<ColourDraft>): void =>
    setDrafts(withBrought(drafts, brought, MOST_COLOURS))

  return {
    drafts,
    atHand,
    /** Undefined until it is said how one is read. */
    draft,
    setAtHand,
    change,
    bring,
    /** How colours are read of which nothing is known yet. */
    beginBy(by: ReadBy): void {
      setDrafts(
        drafts.length === 0
          ? [emptyDraft(0, 100, by)]
          : drafts.map((each) => (isEmpty(each) ? { ...each, by } : each)),
      )
    },
    /** Reads the colour at hand in another way; what it was read by goes with the old one. */
    readBy(by: ReadBy): void {
      if (by === draft?.by) return
      const unread = { by, measuredFor: OWN, source: '', evidence: null } as const
      // What an eye has not matched is not by eye.
      change(atHand, by === 'field' ? { ...unread, l: '', a: '', b: '' } : unread)
    },
    another(): void {
      setDrafts(withAnother(drafts))
      setAtHand(drafts.length)
    },
    leaveOut(place: number): void {
      setDrafts(withoutOne(drafts, place))
      setAtHand(0)
    },
    bringPhoto(found: readonly PhotographedColour[]): void {
      setDrafts(
        found.map(({ lab, sharePercent, evidence }, i) => ({
          ...emptyDraft(i, Math.max(1, Math.floor(sharePercent)), 'photo'),
          ...labTexts(lab),
          evidence,
        })),
      )
      setAtHand(0)
    },
    bringMeasured({ name, reading }: Measured, evidence: ReadingEvidence): void {
      const part = name.slice(0, 40)
      switch (reading.kind) {
        case 'lab':
          return bring({ part, by: 'lab', ...labTexts(reading.lab), evidence })
        case 'srgb':
          return bring({ part, by: 'hex', hex: reading.hex, evidence })
        case 'spectral':
          return bring({
            ...{ part, by: 'spectral', spectrum: spectrumText(reading), scale: 'share' },
            ...{ source: 'spectral', evidence },
          })
      }
    },
  }
}
