/** A dessert begun from a kind, with the kitchen's own formulas. */
import { useQuery, useQueryClient } from '@tanstack/vue-query'

import { api, take } from '../api/client'
import type { BegunDessert, DessertKinds } from '../api/types'

/** Every kind of dessert; they change with the product only. */
export const useKinds = () =>
  useQuery({
    queryKey: ['kinds of dessert'],
    // openapi-fetch widens points to lists of numbers; they are pairs.
    queryFn: async () => ((await take(api.GET('/api/desserts/kinds'))) as DessertKinds).kinds,
    staleTime: Infinity,
  })

export function useBegin() {
  const client = useQueryClient()
  return async (kind: string, name: string, mold?: string): Promise<BegunDessert> => {
    const body = { kind, name, mold: mold ?? null, count: 1 }
    const begun = await take<BegunDessert>(api.POST('/api/desserts/begin', { body }))
    await client.invalidateQueries()
    return begun
  }
}
