/** Finding names: every word, in any order, in any case, with or without accents. */
const MARKS = /\p{Diacritic}/gu

/** Names are compared at every key, and there are thousands. */
const known = new Map<string, string>()

export function folded(text: string): string {
  const before = known.get(text)
  if (before !== undefined) return before
  const plain = text.normalize('NFD').replace(MARKS, '').toLowerCase()
  if (known.size > 20_000) known.clear()
  known.set(text, plain)
  return plain
}

/** A test for many names: the words of the query are taken apart once. */
export function fitting(query: string): (name: string) => boolean {
  const words = folded(query).split(/\s+/)
  return (name) => {
    const own = folded(name)
    return words.every((word) => own.includes(word))
  }
}

export const fits = (name: string, query: string) => fitting(query)(name)

/** The same for the options of a select. */
export const fitsOption = (typed: string, option?: { label?: unknown }) =>
  fits(String(option?.label ?? ''), typed)
