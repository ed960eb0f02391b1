/** From what was understood of a pasted list to lines of a formula. */
import type { Ingredient, PastedLine } from '../api/types'
import type { LineEntry } from './useFormula'

/** Taken as a new ingredient, or left out; anything else is the key of a match. */
export const NEW = 'new'
export const SKIP = 'skip'
export type Choice = string

/** What a line is taken as until one says otherwise. */
export function choiceFor(line: PastedLine): Choice {
  if (line.mass_g === null) return SKIP
  return line.matches[0]?.id ?? NEW
}

export function optionsFor(line: PastedLine) {
  const known = line.matches.map((one) => ({
    value: one.id,
    label: one.is_formula ? `${one.name} (formula)` : one.name,
  }))
  return [
    ...known,
    { value: NEW, label: `New in the pantry: ${line.name}` },
    { value: SKIP, label: 'Leave it out' },
  ]
}

/** New ingredients by name, each once, with a capital. */
export function newRows(names: string[]): { name: string }[] {
  const capital = (name: string) => name.charAt(0).toUpperCase() + name.slice(1)
  return [...new Map(names.map((name) => [name.toLowerCase(), { name: capital(name) }])).values()]
}

/** Lines for what is taken; `made` are the ingredients that were new. */
export function linesOf(
  lines: PastedLine[],
  choices: Choice[],
  made: Pick<Ingredient, 'id' | 'name'>[],
): LineEntry[] {
  const byName = new Map(made.map((one) => [one.name.toLowerCase(), one.id]))
  return lines.flatMap((line, i): LineEntry[] => {
    const choice = choices[i]
    if (line.mass_g === null || choice === undefined || choice === SKIP) return []
    const match = line.matches.find((one) => one.id === choice)
    const ingredient = choice === NEW ? byName.get(line.name.toLowerCase()) : choice
    return [
      {
        key: crypto.randomUUID().slice(0, 8),
        mass_g: Math.round(line.mass_g * 100) / 100,
        overrun_percent: 0,
        stage: '',
        strained: false,
        ingredient: match?.is_formula ? null : (ingredient ?? null),
        formula: match?.is_formula ? match.id : null,
      },
    ]
  })
}
