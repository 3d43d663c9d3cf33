import cityTimezones from 'city-timezones'

export interface Town {
  readonly name: string
  readonly country: string
  readonly latitudeDeg: number
  readonly longitudeDeg: number
  readonly timeZone: string
}

const MOST = 8

let towns: { town: Town; folded: string; people: number }[] | undefined

/** Towns of the shipped list whose name begins with what was typed, larger towns first. */
export function findTowns(typed: string): Town[] {
  const wanted = fold(typed)
  if (wanted.length < 2) return []
  towns ??= cityTimezones.cityMapping
    .filter((city) => city.timezone && Number.isFinite(city.lat) && Number.isFinite(city.lng))
    .map((city) => ({
      town: {
        name: city.city,
        country: city.country,
        latitudeDeg: Math.round(city.lat * 1e4) / 1e4,
        longitudeDeg: Math.round(city.lng * 1e4) / 1e4,
        timeZone: city.timezone,
      },
      folded: fold(city.city_ascii || city.city),
      people: city.pop,
    }))
    .sort((p, q) => q.people - p.people)
  return towns
    .filter((entry) => entry.folded.startsWith(wanted))
    .slice(0, MOST)
    .map((e) => e.town)
}

const fold = (name: string): string =>
  name.trim().normalize('NFD').replace(/\p{M}/gu, '').toLowerCase()
