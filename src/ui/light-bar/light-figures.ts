// Made once: `toLocaleString` makes one a call, and the bar asks at every frame of a drag.
const IN_FIGURES = new Intl.NumberFormat('en-GB')

export const figures = (cctK: number, lux: number): string =>
  `${IN_FIGURES.format(Math.round(cctK / 50) * 50)} K · ${luxFigure(lux)} lux`

/** Two significant figures: a light model is no better than that. */
export function luxFigure(lux: number): string {
  const digits = 10 ** Math.max(0, Math.floor(Math.log10(Math.max(1, lux))) - 1)
  return IN_FIGURES.format(Math.round(lux / digits) * digits)
}
