/** One dessert on the screen, and what the server works out of it. */
import { useQuery } from '@tanstack/vue-query'

import { shallowRef, watch } from 'vue'

import { api, Problem, take } from '../api/client'
import { useDraft } from '../api/draft'
import type { Dessert, DessertEntry, Part, SheetPage, Solved } from '../api/types'

export function entryOf(row: Dessert): DessertEntry {
  const { name, mold, parts, portions, count } = row
  return { name, mold, parts, portions, count }
}

export const useDessert = (id: () => string | undefined) => useDraft('desserts', id, entryOf)

/** What the draft takes, saved or not. One question at a time; the last draft wins. */
export function useSolved(draft: () => DessertEntry | null) {
  const solved = shallowRef<Solved>()
  const error = shallowRef<Problem | null>(null)
  let asking = false
  let asked: DessertEntry | null = null

  async function ask() {
    if (asking) return
    asking = true
    while (asked !== draft()) {
      asked = draft()
      if (asked) await answer(asked)
      else solved.value = undefined
    }
    asking = false
  }

  async function answer(entry: DessertEntry) {
    try {
      // openapi-fetch widens points to lists of numbers; they are pairs.
      const got = (await take(api.POST('/api/desserts/what-if', { body: entry }))) as Solved
      if (draft()) solved.value = got
      error.value = null
    } catch (problem) {
      if (!(problem instanceof Problem)) throw problem
      error.value = problem
    }
  }

  watch(draft, ask, { immediate: true })
  return { solved, error }
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

/** What is wanted of a new part; `into` makes it a layer of that insert. */
export interface Wanted {
  rule: Part['rule']
  into?: string | undefined
  key: string
  formula: string
}

/** A part measured for the dessert as it is drawn. */
export async function propose(dessert: DessertEntry, wanted: Wanted) {
  const body = { ...wanted, into: wanted.into ?? null, dessert }
  const { part } = await take(api.POST('/api/desserts/propose', { body }))
  return part as Part
}

/** The dessert's parts and portions in another mold. */
export function refit(dessert: DessertEntry, mold: string) {
  return take(api.POST('/api/desserts/refit', { body: { dessert, mold } }))
}
