/** Finding deeds of the screen: the beginning of every word, in any order. */
const MARKS = /\p{Diacritic}/gu

const wordsOf = (text: string) =>
  text
    .normalize('NFD')
    .replace(MARKS, '')
    .toLowerCase()
    .split(/[^\p{L}\p{N}]+/u)
    .filter(Boolean)

/** Names of the kitchen's rows are found by the server; this is for the words of the screen. */
export function fits(deed: string, query: string): boolean {
  const own = wordsOf(deed)
  return wordsOf(query).every((word) => own.some((one) => one.startsWith(word)))
}
