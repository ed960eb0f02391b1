/** Services to come: the next one, and when a dessert is begun for them. */
import { useQuery } from '@tanstack/vue-query'
import { computed } from 'vue'

import { api, take } from '../api/client'
import type { NextService, StartBy } from '../api/types'

const LOOKS_EVERY_MS = 60_000

/** The next service of the kitchen; how long is left is told anew every minute. */
export function useNextService() {
  const query = useQuery({
    shallow: true,
    queryKey: ['services', 'next'],
    queryFn: () => take<NextService[]>(api.GET('/api/timelines/next') as never),
    refetchInterval: LOOKS_EVERY_MS,
  })
  return computed(() => query.data.value?.[0])
}

/** When the making of a dessert begins for each of its services to come, as planned last. */
export function useStartBy(id: () => string) {
  const { data } = useQuery({
    shallow: true,
    queryKey: ['services', 'start by', id],
    queryFn: () =>
      take<StartBy[]>(
        api.GET('/api/timelines/start-by/{dessert_id}', {
          params: { path: { dessert_id: id() } },
        }) as never,
      ),
  })
  return data
}
