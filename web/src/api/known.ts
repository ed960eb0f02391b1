/** How things are called and look, by key: what answers told, and what a draft names asked for. */
import { useQuery } from '@tanstack/vue-query'
import { computed, shallowReactive } from 'vue'

import type { FormulaLook } from './types'
import { rowsOf, whenWritten } from './shelves'

interface Called {
  id: string
  name: string
}
interface Known {
  formulas: FormulaLook
  ingredients: Called
  molds: Called
  desserts: Called
}
export type KnownShelf = keyof Known

const known: { [S in KnownShelf]: Map<string, Known[S]> } = {
  formulas: shallowReactive(new Map()),
  ingredients: shallowReactive(new Map()),
  molds: shallowReactive(new Map()),
  desserts: shallowReactive(new Map()),
}

/** Keep what an answer tells of some rows. */
export function know<S extends KnownShelf>(shelf: S, rows: readonly Known[S][]) {
  rows.forEach((one) => known[shelf].set(one.id, one))
}

whenWritten((shelf, row) => {
  if (shelf in known) know(shelf as KnownShelf, [row as never])
})

/** Nothing of one kitchen is known in another. */
export function forgetKnown() {
  Object.values(known).forEach((one) => one.clear())
}

/** What is known of rows by their keys; what is not known yet is asked for. */
export function useKnown<S extends KnownShelf>(shelf: S, ids: () => readonly string[]) {
  const missing = computed(() => [...new Set(ids())].filter((id) => !known[shelf].has(id)).sort())
  useQuery({
    shallow: true,
    queryKey: [shelf, 'list', 'of', missing],
    queryFn: async () => {
      const { items } = await rowsOf(shelf, missing.value)
      know(shelf, items as Known[S][])
      return items.length
    },
    enabled: () => missing.value.length > 0,
  })
  return (id: string): Known[S] | undefined => known[shelf].get(id)
}
