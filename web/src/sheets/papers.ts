/** What is pinned up, one after another: desserts, then formulas in the order of making. */
import type { DessertSheet, MadeFormula, SheetPage, Sheets } from '../api/types'
import { chunks } from './columns'

const MOST_SIZES = 3

export type Paper =
  | { kind: 'dessert'; key: string; dessert: DessertSheet; sizes: DessertSheet['sizes'] }
  | { kind: 'formula'; key: string; page: SheetPage; made?: MadeFormula; number?: number }

/** Sizes that are built by the same stages share a sheet, as many as it has room for. */
function alike(dessert: DessertSheet): DessertSheet['sizes'][] {
  const found = new Map<string, DessertSheet['sizes']>()
  for (const size of dessert.sizes) {
    const built = size.solved.stages.map((one) => `${one.code}/${one.title}`).join()
    found.set(built, [...(found.get(built) ?? []), size])
  }
  return [...found.values()].flatMap((sizes) => chunks(sizes, MOST_SIZES))
}

export function papersOf({ desserts, made }: Sheets): Paper[] {
  const first = desserts.flatMap((dessert, i) =>
    alike(dessert).map((sizes, j) => ({
      kind: 'dessert' as const,
      key: `dessert-${i}-${j}`,
      dessert,
      sizes,
    })),
  )
  const then = made.map((one, i) => ({
    kind: 'formula' as const,
    key: one.page.sheet.formula,
    page: one.page,
    made: one,
    number: i + 1,
  }))
  return [...first, ...then]
}

export const papersOfFormula = (pages: SheetPage[]): Paper[] =>
  pages.map((page) => ({ kind: 'formula', key: page.sheet.formula, page }))

export const titleOf = (paper: Paper) =>
  paper.kind === 'dessert' ? paper.dessert.name : paper.page.sheet.name
