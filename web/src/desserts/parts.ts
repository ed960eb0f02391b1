/** Names and places of parts; pure functions on what the server sent. */
import type { DessertEntry, Layer, MoldShape, Part, PartOf } from '../api/types'

/** What is selected: a part, or one layer of an insert. */
export interface Chosen {
  part: string
  layer: string | null
}

export interface PartRow extends Chosen {
  formula: string
  ownName: string
  rule: Part['rule']
  height: number | null
  says: string
}

export const DOES: Record<Part['rule'], { title: string; text: string }> = {
  base: { title: 'A base on the board', text: 'a disc or plank with its own size' },
  insert: { title: 'An insert inside', text: 'layers frozen in a smaller ring' },
  fill: { title: 'Fill the rest', text: 'mousse or cream: whatever room is left' },
  coat: { title: 'A coat over it', text: 'glaze or spray on the exposed surface' },
  band: { title: 'A band around the foot', text: 'a strip along the edge' },
  garnish: { title: 'Garnish on top', text: 'pieces or grams on every portion' },
}

const cm = (mm: number) => `${Number((mm / 10).toFixed(1))} cm`

function says(part: Part): string {
  switch (part.rule) {
    case 'base':
      return `base · ${cm(part.across_mm)}`
    case 'insert':
      return `insert · ${cm(part.across_mm)}`
    case 'fill':
      return part.level_mm == null ? 'fills the rest' : `fills to ${part.level_mm} mm`
    case 'coat':
      return part.top_only ? 'coat · top only' : 'coat · surface'
    case 'band':
      return 'band · edge'
    case 'garnish':
      return `${part.pieces_per_portion} a portion`
  }
}

function heightOf(part: Part): number | null {
  if (part.rule === 'coat') return part.thickness_mm
  return part.rule === 'base' || part.rule === 'band' ? part.height_mm : null
}

/** One row a formula, from the top down; the layers of an insert are rows of their own. */
export function partRows(parts: Part[]): PartRow[] {
  return parts.flatMap((part): PartRow[] => {
    const shared = { part: part.key, rule: part.rule, says: says(part) }
    if (part.rule === 'insert') {
      return part.layers.map((layer) => ({
        ...shared,
        layer: layer.key,
        formula: layer.formula,
        ownName: layer.name,
        height: layer.height_mm,
      }))
    }
    const { formula, name } = part
    return [{ ...shared, layer: null, formula, ownName: name, height: heightOf(part) }]
  })
}

export function sameChoice(a: Chosen | null, b: Chosen): boolean {
  return a?.part === b.part && a.layer === b.layer
}

/** Parts with one of them exchanged. */
export function withPart(parts: Part[], part: Part): Part[] {
  return parts.map((one) => (one.key === part.key ? part : one))
}

/** An insert with one layer exchanged. */
export function withLayer(insert: PartOf<'insert'>, layer: Layer): PartOf<'insert'> {
  const layers = insert.layers.map((one) => (one.key === layer.key ? layer : one))
  return { ...insert, layers }
}

/** Without a part; without a layer, if its insert has others. */
export function without(parts: Part[], chosen: Chosen): Part[] {
  return parts.flatMap((part): Part[] => {
    if (part.key !== chosen.part) return [part]
    if (part.rule !== 'insert' || part.layers.length === 1) return []
    return [{ ...part, layers: part.layers.filter((layer) => layer.key !== chosen.layer) }]
  })
}

function swapped<T>(list: T[], from: number, to: number): T[] {
  const next = [...list]
  const [one] = next.splice(from, 1)
  if (one !== undefined) next.splice(to, 0, one)
  return next
}

/** Moved one place up or down: a layer within its insert, at its end the whole insert. */
export function moved(parts: Part[], chosen: Chosen, by: 1 | -1): Part[] {
  const at = parts.findIndex((part) => part.key === chosen.part)
  const part = parts[at]
  if (!part) return parts
  if (part.rule === 'insert') {
    const from = part.layers.findIndex((layer) => layer.key === chosen.layer)
    const to = from + by
    if (to >= 0 && to < part.layers.length) {
      return withPart(parts, { ...part, layers: swapped(part.layers, from, to) })
    }
  }
  const to = at + by
  return to < 0 || to >= parts.length ? parts : swapped(parts, at, to)
}

/** Bases among themselves, or the layers of an insert: the chosen one at a place from the top. */
export function reordered(parts: Part[], chosen: Chosen, to: number): Part[] {
  const own = parts.find((one) => one.key === chosen.part)
  if (own?.rule === 'insert') {
    const from = own.layers.findIndex((layer) => layer.key === chosen.layer)
    return withPart(parts, { ...own, layers: swapped(own.layers, from, to) })
  }
  const bases = parts.filter((one) => one.rule === 'base')
  const from = bases.findIndex((one) => one.key === chosen.part)
  const next = swapped(bases, from, to)
  return parts.map((one) => (one.rule === 'base' ? (next.shift() ?? one) : one))
}

/** A row of the shelf let go at another row: a layer within its insert, else the whole part. */
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
  const order: Part['rule'][] = ['garnish', 'coat', 'fill', 'insert', 'base', 'band']
  const rank = order.indexOf(rule)
  const below = parts.findIndex((part) => order.indexOf(part.rule) >= rank)
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

export function moldWords(shape: MoldShape): string {
  return shape.kind === 'ring'
    ? `Ring Ø ${shape.diameter_mm} × ${shape.height_mm} mm`
    : `Frame ${shape.length_mm} × ${shape.width_mm} × ${shape.height_mm} mm`
}

/** Where in an entry a part stands, as the server names fields. */
export function fieldPath(entry: DessertEntry, chosen: Chosen): string {
  const parts = entry.parts ?? []
  const at = parts.findIndex((part) => part.key === chosen.part)
  const part = parts[at]
  if (part?.rule !== 'insert' || chosen.layer === null) return `parts.${at}`
  return `parts.${at}.layers.${part.layers.findIndex((layer) => layer.key === chosen.layer)}`
}
