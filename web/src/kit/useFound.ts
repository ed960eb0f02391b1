/** Rows of a shelf whose names fit what is typed: the server says which, the best first. */
import { useQuery } from '@tanstack/vue-query'
import { computed, onScopeDispose, ref, watch } from 'vue'

import { api, take } from '../api/client'
import { type Shelf, useRows } from '../api/shelves'
import type { FoundName } from '../api/types'

/** A shelf whose names are looked up, or what may stand in a line. */
export type Named = Shelf | 'lines'
const PAUSE_MS = 90
const MOST = 200

/** What was typed when the hand last paused. */
function usePause(typed: () => string) {
  const asked = ref('')
  let timer: ReturnType<typeof setTimeout> | undefined
  watch(
    typed,
    (text) => {
      clearTimeout(timer)
      timer = setTimeout(() => (asked.value = text), text ? PAUSE_MS : 0)
    },
    { immediate: true },
  )
  onScopeDispose(() => clearTimeout(timer))
  return asked
}

/** Rows of a shelf as a list shows them; of no name while nothing is typed. */
export function useSought<S extends Shelf>(shelf: S, typed: () => string) {
  const now = () => typed().trim()
  const asked = usePause(now)
  const { rows, isPlaceholderData, isSuccess, left, more } = useRows(
    shelf,
    () => ({ q: asked.value }),
    () => Boolean(asked.value),
  )
  /** Nothing typed: null. Not answered yet: undefined. */
  const found = computed(() => {
    if (!now()) return null
    const answered = asked.value === now() && isSuccess.value && !isPlaceholderData.value
    return answered ? rows.value : undefined
  })
  return { found, left, more }
}

export function useFound(shelf: () => Named | undefined, typed: () => string, most = MOST) {
  const now = () => typed().trim()
  const asked = usePause(now)
  const query = useQuery({
    shallow: true,
    queryKey: ['names', shelf, asked],
    queryFn: () => {
      const ask = { shelf: shelf() ?? 'lines', q: asked.value, limit: most }
      return take<FoundName[]>(api.GET('/api/names', { params: { query: ask } }))
    },
    enabled: () => Boolean(shelf() && asked.value),
  })
  /** Nothing typed: null. Not answered yet: undefined. */
  const found = computed(() => {
    if (!now() || !shelf()) return null
    return asked.value === now() ? query.data.value : undefined
  })
  return { found }
}

/** Of all rows those that were found, in that order; all while nothing is typed. */
export function among<Item>(
  items: Item[],
  found: FoundName[] | null | undefined,
  idOf: (item: Item) => unknown,
): Item[] {
  if (found === null) return items
  const byId = new Map(items.map((one) => [idOf(one), one]))
  return (found ?? []).flatMap((one) => byId.get(one.id) ?? [])
}
