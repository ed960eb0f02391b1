/** Lines of a formula, changed as values. */
import type { FormulaEntry } from '../api/types'

export type LineEntry = NonNullable<FormulaEntry['lines']>[number]
type Lines = readonly LineEntry[]

export const withLine = (lines: Lines, key: string, change: Partial<LineEntry>): LineEntry[] =>
  lines.map((line) => (line.key === key ? { ...line, ...change } : line))

export const withoutLine = (lines: Lines, key: string): LineEntry[] =>
  lines.filter((line) => line.key !== key)

/** Other grams for the lines that are named; the others stay. */
export function withGrams(
  lines: Lines,
  grams: Iterable<readonly [key: string, mass_g: number]>,
): LineEntry[] {
  const byKey = new Map(grams)
  return lines.map((line) => ({ ...line, mass_g: byKey.get(line.key) ?? line.mass_g }))
}

/** One line a place up or down; undefined where there is no such place. */
export function movedLine(lines: Lines, at: number, by: 1 | -1): LineEntry[] | undefined {
  const next = [...lines]
  const [line] = next.splice(at, 1)
  if (!line || at + by < 0 || at + by > next.length) return undefined
  next.splice(at + by, 0, line)
  return next
}
