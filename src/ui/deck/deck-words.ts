/** "Maker, deck": which of two paints of one name it is. */
export const deckWords = ({
  maker,
  name,
}: {
  readonly maker: string
  readonly name: string
}): string => `${maker}, ${name}`
