/** Two versions of a dessert, part by part: what differs, who changed it, and one made of both. */
import type { DessertEntry, Part } from '../api/types'
import { sameData } from '../kit/steps'

export type Side = 'mine' | 'theirs'

export interface Difference {
  /** A field of the dessert, or 'part/' and the key of a part. */
  key: string
  mine: unknown
  theirs: unknown
  /** Who changed it since the two had parted; both, where one has to choose. */
  by: Side | 'both'
}

const FIELDS = ['name', 'mold', 'built', 'portions', 'count', 'sizes', 'holds'] as const
const PART = 'part/'
/** The order of the parts, where both have the same. */
export const ORDER = 'order'

const partsOf = (entry: DessertEntry | null) => entry?.parts ?? []
const partOf = (entry: DessertEntry | null, key: string) =>
  partsOf(entry).find((one) => one.key === key)

/** What differs between mine and theirs; `base` is what both began with. */
export function differences(
  base: DessertEntry | null,
  mine: DessertEntry,
  theirs: DessertEntry,
): Difference[] {
  const keys = [...partsOf(mine), ...partsOf(theirs)].map((one) => one.key)
  const sides = (key: string, from: unknown, here: unknown, there: unknown): Difference[] => {
    if (sameData(here, there)) return []
    const by = sameData(from, here) ? 'theirs' : sameData(from, there) ? 'mine' : 'both'
    return [{ key, mine: here, theirs: there, by }]
  }
  const found = [
    ...FIELDS.flatMap((field) => sides(field, base?.[field], mine[field], theirs[field])),
    ...[...new Set(keys)].flatMap((key) =>
      sides(PART + key, partOf(base, key), partOf(mine, key), partOf(theirs, key)),
    ),
  ]
  const order = (entry: DessertEntry | null) => partsOf(entry).map((one) => one.key)
  const shared = (entry: DessertEntry | null) =>
    order(entry).filter((key) => partOf(mine, key) && partOf(theirs, key))
  return [...found, ...sides(ORDER, shared(base), shared(mine), shared(theirs))]
}

/** Before one has chosen: each keeps its own changes, and where both changed it, mine stands. */
export function firstChoices(found: Difference[]): Record<string, Side> {
  return Object.fromEntries(found.map((one) => [one.key, one.by === 'theirs' ? 'theirs' : 'mine']))
}

/** One dessert of both, by the side chosen for each difference. */
export function merged(
  mine: DessertEntry,
  theirs: DessertEntry,
  choices: Record<string, Side>,
): DessertEntry {
  const from = { mine, theirs }
  const fields = FIELDS.map((field) => [field, from[choices[field] ?? 'mine'][field]])
  const lead = choices[ORDER] === 'theirs' ? theirs : mine
  const other = lead === mine ? theirs : mine
  const pick = (key: string): Part[] => {
    const part = partOf(from[choices[PART + key] ?? 'mine'], key)
    return part ? [part] : []
  }
  const extra = partsOf(other).filter((one) => !partOf(lead, one.key))
  const order = partsOf(lead).map((one) => one.key)
  // A part only the other has goes where the other has it.
  for (const part of extra) {
    const before = partsOf(other).findIndex((one) => one.key === part.key)
    order.splice(Math.min(before, order.length), 0, part.key)
  }
  return { ...mine, ...Object.fromEntries(fields), parts: order.flatMap(pick) }
}
