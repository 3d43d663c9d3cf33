/** When a room is used most: the light it is judged by. */
export const USE_HOURS = ['breakfast', 'daytime', 'evening', 'all-day'] as const
export type UseHours = (typeof USE_HOURS)[number]

export const USE_HOURS_WORDS: Record<UseHours, string> = {
  breakfast: 'at breakfast',
  daytime: 'in the daytime',
  evening: 'of an evening',
  'all-day': 'all day',
}
