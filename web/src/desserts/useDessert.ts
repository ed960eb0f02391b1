/** One dessert on the screen, and what the server works out of it. */
import { keepPreviousData, useQuery } from '@tanstack/vue-query'

import { api, take } from '../api/client'
import { useDraft } from '../api/draft'
import type { Dessert, DessertEntry, Part, SheetPage, Solved } from '../api/types'

export function entryOf(row: Dessert): DessertEntry {
  const { name, mold, parts, portions, count } = row
  return { name, mold, parts, portions, count }
}

export const useDessert = (id: () => string | undefined) => useDraft('desserts', id, entryOf)

export function useSolved(id: () => string | undefined) {
  return useQuery({
    queryKey: ['worked out', 'dessert', id],
    queryFn: async () => {
      const path = { row_id: id() ?? '' }
      // openapi-fetch widens points to lists of numbers; they are pairs.
      return (await take(api.GET('/api/desserts/{row_id}/solved', { params: { path } }))) as Solved
    },
    enabled: () => Boolean(id()),
    placeholderData: keepPreviousData,
  })
}

export function useSheets(id: () => string, count: () => number | undefined) {
  return useQuery({
    queryKey: ['worked out', 'sheets', id, count],
    queryFn: () =>
      take<SheetPage[]>(
        api.GET('/api/desserts/{row_id}/sheets', {
          params: { path: { row_id: id() }, query: { count: count() ?? null } },
        }),
      ),
  })
}

/** A part of that rule and formula, measured for this dessert as it is saved. */
export async function propose(id: string, rule: string, key: string, formula: string) {
  const path = { row_id: id }
  const { part } = await take(
    api.POST('/api/desserts/{row_id}/propose', {
      params: { path },
      body: { rule, key, formula },
    }),
  )
  return part as Part
}

/** The dessert's parts and portions in another mold. */
export function refit(id: string, mold: string) {
  return take(
    api.POST('/api/desserts/{row_id}/refit', {
      params: { path: { row_id: id } },
      body: { mold },
    }),
  )
}
