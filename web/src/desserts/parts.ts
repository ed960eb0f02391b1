/** Names and places of parts; pure functions on what the server sent. */
import { ruleWords } from '../api/house'
import type { DessertEntry, Layer, Layered, Part, PartResult } from '../api/types'

/** What is selected: a part, or one of its layers. */
export interface Chosen {
  part: string
  layer: string | null
}

export interface PartRow extends Chosen {
  formula: string
  ownName: string
  /** What it is and how thick, as it was worked out last. */
  says: string
  thick: number | null
}

export const isLayered = (part: Part | undefined): part is Layered =>
  part !== undefined && 'layers' in part

/** The formula of a part, or of one of its layers. */
export const formulaIn = (part: Part, layer?: Layer | null): string =>
  isLayered(part) ? ((layer ?? part.layers[0])?.formula ?? '') : part.formula

/** Every formula the parts of a dessert name, in all its sizes. */
export const formulasIn = (dessert: DessertEntry | null): string[] =>
  [dessert?.parts, ...(dessert?.sizes ?? []).map((one) => one.parts)].flatMap((parts) =>
    (parts ?? []).flatMap((part) =>
      isLayered(part) ? part.layers.map(({ formula }) => formula) : [part.formula],
    ),
  )

/** One row a formula, from the top down; layers are rows of their own. */
export function partRows(parts: Part[], results: PartResult[]): PartRow[] {
  return parts.flatMap((part) =>
    (isLayered(part) ? part.layers : [part]).map((one) => {
      const at = { part: part.key, layer: one === part ? null : one.key }
      const result = results.find((found) => sameChoice(at, found))
      const [says, thick] = [result?.says ?? '', result?.thick_mm ?? null]
      return { ...at, formula: formulaIn(part, one as Layer), ownName: one.name ?? '', says, thick }
    }),
  )
}

export function sameChoice(a: Chosen | null, b: Chosen): boolean {
  return a?.part === b.part && a.layer === b.layer
}

/** Parts with one of them exchanged. */
export function withPart(parts: Part[], part: Part): Part[] {
  return parts.map((one) => (one.key === part.key ? part : one))
}

/** A part with one layer exchanged. */
export function withLayer(part: Layered, layer: Layer): Layered {
  return { ...part, layers: part.layers.map((one) => (one.key === layer.key ? layer : one)) }
}

/** Without a part; without a layer, if its part has others. */
export function without(parts: Part[], chosen: Chosen): Part[] {
  return parts.flatMap((part): Part[] => {
    if (part.key !== chosen.part) return [part]
    if (!isLayered(part) || part.layers.length === 1) return []
    return [{ ...part, layers: part.layers.filter((layer) => layer.key !== chosen.layer) }]
  })
}

function swapped<T>(list: T[], from: number, to: number): T[] {
  const next = [...list]
  const [one] = next.splice(from, 1)
  if (one !== undefined) next.splice(to, 0, one)
  return next
}

/** Moved one place up or down: a layer within its part, at its end the whole part. */
export function moved(parts: Part[], chosen: Chosen, by: 1 | -1): Part[] {
  const at = parts.findIndex((part) => part.key === chosen.part)
  const part = parts[at]
  if (!part) return parts
  if (isLayered(part)) {
    const from = part.layers.findIndex((layer) => layer.key === chosen.layer)
    const to = from + by
    if (to >= 0 && to < part.layers.length) {
      return withPart(parts, { ...part, layers: swapped(part.layers, from, to) })
    }
  }
  const to = at + by
  return to < 0 || to >= parts.length ? parts : swapped(parts, at, to)
}

/** What a part is reordered among: its layers, or others of a rule whose parts stand on another. */
export function siblings(parts: Part[], chosen: Chosen): Chosen[] {
  const own = parts.find((one) => one.key === chosen.part)
  if (!own) return []
  if (isLayered(own)) return own.layers.map((layer) => ({ part: own.key, layer: layer.key }))
  if (!ruleWords(own.rule)?.stacks) return []
  return parts.filter((one) => one.rule === own.rule).map(({ key }) => ({ part: key, layer: null }))
}

/** The chosen one at a place from the top among its siblings. */
export function reordered(parts: Part[], chosen: Chosen, to: number): Part[] {
  const own = parts.find((one) => one.key === chosen.part)
  if (isLayered(own)) {
    const from = own.layers.findIndex((layer) => layer.key === chosen.layer)
    return withPart(parts, { ...own, layers: swapped(own.layers, from, to) })
  }
  const alike = parts.filter((one) => one.rule === own?.rule)
  const from = alike.findIndex((one) => one.key === chosen.part)
  const next = swapped(alike, from, to)
  return parts.map((one) => (one.rule === own?.rule ? (next.shift() ?? one) : one))
}

/** A row of the shelf let go at another row: a layer within its part, else the whole part. */
export function droppedOn(parts: Part[], rows: PartRow[], from: number, to: number): Part[] {
  const [row, target] = [rows[from], rows[to]]
  if (!row || !target || from === to) return parts
  if (row.part === target.part) {
    const first = rows.findIndex((one) => one.part === row.part)
    return reordered(parts, row, to - first)
  }
  const place = (key: string) => parts.findIndex((part) => part.key === key)
  return swapped(parts, place(row.part), place(target.part))
}

/** Where a new part belongs among the others, seen from the top. */
export function placeFor(parts: Part[], rule: Part['rule']): number {
  const seen = (one: Part['rule']) => ruleWords(one)?.seen ?? 0
  const below = parts.findIndex((part) => seen(part.rule) >= seen(rule))
  return below === -1 ? parts.length : below
}

/** Several new parts, each at its place. */
export const withAll = (parts: Part[], more: Part[]) => [...more].reverse().reduce(withNew, parts)

export function withNew(parts: Part[], part: Part): Part[] {
  const at = placeFor(parts, part.rule)
  return [...parts.slice(0, at), part, ...parts.slice(at)]
}

export function newKey(): string {
  return crypto.randomUUID().slice(0, 8)
}

/** Where in an entry a part stands, as the server names fields. */
export function fieldPath(entry: DessertEntry, chosen: Chosen): string {
  const parts = entry.parts ?? []
  const at = parts.findIndex((part) => part.key === chosen.part)
  const part = parts[at]
  if (!isLayered(part) || chosen.layer === null) return `parts.${at}`
  return `parts.${at}.layers.${part.layers.findIndex((layer) => layer.key === chosen.layer)}`
}
