/** Formulas beside each other, and how sweet a whole bite is with each. */
import { keepPreviousData, useQuery } from '@tanstack/vue-query'

import { api, take } from '../api/client'
import type { Beside, BiteWith } from '../api/types'

export const FEWEST = 2
export const MOST = 6

/** Their table, in the order asked for. */
export function useBeside(ids: () => string[]) {
  return useQuery({
    shallow: true,
    queryKey: ['worked out', 'beside', ids],
    queryFn: () =>
      take<Beside>(api.GET('/api/formulas/beside', { params: { query: { formula: ids() } } })),
    enabled: () => ids().length >= FEWEST,
    placeholderData: keepPreviousData,
    retry: false,
  })
}

/** How sweet a bite of a dessert is with each of them where it has one of its own. */
export function useBites(ids: () => string[], dessert: () => string, of: () => string) {
  return useQuery({
    shallow: true,
    queryKey: ['worked out', 'bites', dessert, of, ids],
    queryFn: () =>
      take<BiteWith[]>(
        api.GET('/api/desserts/{row_id}/bites', {
          params: { path: { row_id: dessert() }, query: { of: of(), formula: ids() } },
        }),
      ),
    enabled: () => Boolean(dessert() && of() && ids().length),
    retry: false,
  })
}
