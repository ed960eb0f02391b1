/** One dessert on the screen, and what the server works out of it. */
import { useQuery } from '@tanstack/vue-query'
import { onScopeDispose, shallowRef, watch } from 'vue'

import { api, Problem, take } from '../api/client'
import { AGAIN_MS } from '../api/again'
import { useDraft } from '../api/draft'
import type { Bite, Dessert, DessertEntry, Part, WorkedOut } from '../api/types'
import { FIRST } from './sizes'

export function entryOf(row: Dessert): DessertEntry {
  const { name, mold, built, parts, portions, count, sizes, holds } = row
  return { name, mold, built, parts, portions, count, sizes, holds }
}

export const useDessert = (id: () => string | undefined) => useDraft('desserts', id, entryOf)

// openapi-fetch widens points to lists of numbers; they are pairs.
async function ofSaved(id: string, size: string) {
  const params = { path: { row_id: id }, query: { size } }
  return (await take(api.GET('/api/desserts/{row_id}/solved', { params }))) as WorkedOut
}

async function ofDraft(body: DessertEntry, size: string) {
  const params = { query: { size } }
  return (await take(api.POST('/api/desserts/what-if', { params, body }))) as WorkedOut
}

/** What a saved dessert takes, asked for at once, together with its row; good for one use. */
function useAhead(id: () => string | undefined) {
  let ahead: { id: string; figures: Promise<WorkedOut> } | undefined
  watch(
    id,
    (now) => {
      ahead = now ? { id: now, figures: ofSaved(now, FIRST) } : undefined
      // Whoever takes it is told of a refusal.
      ahead?.figures.catch(() => undefined)
    },
    { immediate: true },
  )
  return (saved: string, size: string) => {
    const found = ahead
    ahead = undefined
    return found?.id === saved && size === FIRST ? found.figures : ofSaved(saved, size)
  }
}

/**
 * What the draft takes, saved or not. One question at a time; the last draft wins. `isSaved` says
 * whether the draft is what the kitchen has.
 */
export function useWorkedOut(
  id: () => string | undefined,
  draft: () => DessertEntry | null,
  size: () => string,
  isSaved: () => boolean,
) {
  const savedFigures = useAhead(id)
  const worked = shallowRef<WorkedOut>()
  const error = shallowRef<Problem | null>(null)
  let asking = false
  let asked: DessertEntry | null = null
  let askedSize = ''
  let again: ReturnType<typeof setTimeout> | undefined

  async function ask() {
    if (asking) return
    clearTimeout(again)
    asking = true
    while (asked !== draft() || askedSize !== size()) {
      asked = draft()
      askedSize = size()
      if (asked) await answer(asked, askedSize)
      else worked.value = undefined
    }
    asking = false
  }

  async function answer(body: DessertEntry, of: string) {
    try {
      const saved = isSaved() ? id() : undefined
      const got = await (saved ? savedFigures(saved, of) : ofDraft(body, of))
      if (draft()) worked.value = got
      error.value = null
    } catch (problem) {
      if (!(problem instanceof Problem)) throw problem
      error.value = problem
      // A draft of an earlier visit may be refused before anything is seen: then what is saved is.
      const at = id()
      if (!worked.value && at && !isSaved() && problem.status === 422) {
        worked.value = await savedFigures(at, of).catch(() => undefined)
      }
      // Silence is asked again; a refusal stays one until the draft changes.
      if (problem.isSilence) again = setTimeout(askAnew, AGAIN_MS)
    }
  }

  function askAnew() {
    asked = null
    void ask()
  }
  onScopeDispose(() => clearTimeout(again))

  watch([draft, size], ask, { immediate: true })
  return { worked, error }
}

/** What a bite through the cut is of; worked out once it is wanted. */
export function useBite(id: () => string, size: () => string, wanted: () => boolean) {
  return useQuery({
    shallow: true,
    queryKey: ['worked out', 'bite', id, size],
    queryFn: () => {
      const params = { path: { row_id: id() }, query: { size: size() } }
      return take<Bite | null>(api.GET('/api/desserts/{row_id}/bite', { params }))
    },
    enabled: wanted,
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

/** A stack's parts measured for the dessert as it is drawn. */
export async function place(dessert: DessertEntry, stack: string, keys: string[]) {
  const { parts } = await take(api.POST('/api/desserts/place', { body: { dessert, stack, keys } }))
  return parts as Part[]
}

/** The dessert's parts and portions in another mold. */
export function refit(dessert: DessertEntry, mold: string) {
  return take(api.POST('/api/desserts/refit', { body: { dessert, mold } }))
}
