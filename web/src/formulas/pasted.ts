/** From what was understood of a pasted list to lines of a formula. */
import { house } from '../api/house'
import type { Ingredient, LineChoice, PastedLine } from '../api/types'
import type { LineEntry } from './lines'
import { lineOf } from './useTypedLines'

/** Taken as a new ingredient, left out, or not chosen yet; else the key of a choice. */
export const NEW = 'new'
export const SKIP = 'skip'
export const ASKED = ''
export type Choice = string

/** A thing may be offered twice, as one pint or the other. */
const keyOf = (one: LineChoice) => `${one.id}${one.measure}`
const offered = (line: PastedLine) =>
  (line.certain ? [line.certain] : line.choices).filter((one) => one.mass_g !== null)
const mayBeNew = (line: PastedLine) => Boolean(line.name && line.weighs_g)

/** Whether a line says nothing that could become one. */
export const isNothing = (line: PastedLine) => !offered(line).length && !mayBeNew(line)

/** What a line is taken as until one says otherwise: only what is certain is taken by itself. */
export function choiceFor(line: PastedLine): Choice {
  if (line.certain) return keyOf(line.certain)
  if (isNothing(line)) return SKIP
  return line.choices.length && !(line.far && mayBeNew(line)) ? ASKED : NEW
}

export function optionsFor(line: PastedLine) {
  const known = offered(line).map((one) => ({
    value: keyOf(one),
    label: [
      one.name,
      one.measure && `(${house.value.formulas.measures[one.measure]})`,
      one.is_formula && '(formula)',
    ]
      .filter(Boolean)
      .join(' '),
  }))
  return [
    ...known,
    ...(mayBeNew(line) ? [{ value: NEW, label: `New in the pantry: ${line.name}` }] : []),
    { value: SKIP, label: 'Leave it out' },
  ]
}

/** Grams of a line as it is taken now; nothing while it is asked or left out. */
export function gramsOf(line: PastedLine, choice: Choice | undefined): number | null {
  if (choice === NEW) return line.weighs_g
  return offered(line).find((one) => keyOf(one) === choice)?.mass_g ?? null
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
  const plain = { overrun_percent: 0, stage: '', strained_percent: 0 }
  return lines.flatMap((line, i): LineEntry[] => {
    const mass_g = gramsOf(line, choices[i])
    const known = offered(line).find((one) => keyOf(one) === choices[i])
    const id = known?.id ?? byName.get(line.name.toLowerCase())
    if (mass_g === null || !id) return []
    const fresh = {
      id,
      name: line.name,
      is_formula: false,
      measure: '',
      lacks: '',
      wants_amount: false,
      called: '',
      soaked: 0,
    }
    const key = crypto.randomUUID().slice(0, 8)
    return [{ ...plain, ...lineOf(key, { ...(known ?? fresh), mass_g }, line.note) }]
  })
}
