/** Finding names: every word, in any order, in any case, with or without accents. */
const MARKS = /\p{Diacritic}/gu

export function folded(text: string): string {
  return text.normalize('NFD').replace(MARKS, '').toLowerCase()
}

export function fits(name: string, query: string): boolean {
  const own = folded(name)
  return folded(query)
    .split(/\s+/)
    .every((word) => own.includes(word))
}

/** The same for the options of a select. */
export const fitsOption = (typed: string, option?: { label?: unknown }) =>
  fits(String(option?.label ?? ''), typed)
