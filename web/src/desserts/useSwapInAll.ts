/** One ingredient for another in every formula of a dessert, weighed and taken. */
import { useQuery, useQueryClient } from '@tanstack/vue-query'
import { computed, ref } from 'vue'

import { api, Problem, take } from '../api/client'
import type { DessertSwap } from '../api/types'

export type Pair = { old: string; new: string }

export function useSwapInAll(id: () => string, pair: () => Pair | null) {
  const client = useQueryClient()
  const params = () => ({ params: { path: { row_id: id() } } })
  /** Names of the formulas that were changed, once they are. */
  const changed = ref<string[] | null>(null)
  const refusal = ref('')
  const used = useQuery({
    shallow: true,
    queryKey: ['worked out', 'dessert ingredients', id],
    queryFn: () => take(api.GET('/api/desserts/{row_id}/ingredients', params())),
  })
  const weighed = useQuery({
    shallow: true,
    queryKey: ['worked out', 'dessert swap', id, pair],
    queryFn: () =>
      take<DessertSwap[]>(
        api.POST('/api/desserts/{row_id}/swap', { ...params(), body: pair() as Pair }),
      ),
    enabled: () => Boolean(pair()) && changed.value === null,
    retry: false,
  })
  const found = computed(() => (pair() ? (weighed.data.value ?? []) : []))

  async function takeIt(way: 'straight' | 'rebalanced') {
    const swapped = pair()
    if (!swapped) return
    refusal.value = ''
    const revisions = Object.fromEntries(found.value.map((one) => [one.formula, one.revision]))
    const body = { ...swapped, way, revisions }
    try {
      const taken = await take<{ changed: string[] }>(
        api.POST('/api/desserts/{row_id}/swap/take', { ...params(), body }),
      )
      changed.value = taken.changed
      await client.invalidateQueries()
    } catch (error) {
      if (!(error instanceof Problem)) throw error
      refusal.value = error.detail
    }
  }

  return { used, weighed, found, changed, refusal, takeIt }
}
