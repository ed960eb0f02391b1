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
