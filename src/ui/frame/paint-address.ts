/** Where a paint has its page: in the room one is in, in the visit, or before there is either. */
export function paintAddress(
  {
    visitId,
    roomId,
  }: { readonly visitId?: string | undefined; readonly roomId?: string | undefined },
  deckColourId: string,
  strengthPercent = 100,
): string {
  const at = visitId
    ? `/visits/${visitId}${roomId ? `/rooms/${roomId}/trial` : '/paint'}`
    : '/paint'
  const strength = strengthPercent === 100 ? '' : `&strength=${strengthPercent}`
  return `${at}?paint=${deckColourId}${strength}`
}
