/** An order on the screen, and what the server works out of it. */
import { keepPreviousData, useQuery } from '@tanstack/vue-query'
import { computed } from 'vue'

import { api, take } from '../api/client'
import { useDraft } from '../api/draft'
import type { Order, OrderEntry, PlannedOrder } from '../api/types'

export const entryOf = ({ name, lines, timing }: Order): OrderEntry => ({ name, lines, timing })

export const useOrder = (id: () => string | undefined) => useDraft('orders', id, entryOf)

/** What an order as it stands on the screen takes; the last answer stays until the next. */
export function usePlanned(entry: () => OrderEntry | null) {
  // Which service a line is for changes nothing of what it takes.
  const asked = computed(() => (entry()?.lines ?? []).map((one) => ({ ...one, service: null })))
  return useQuery({
    shallow: true,
    queryKey: ['worked out', 'order', asked],
    queryFn: () => {
      const body = { name: 'order', lines: asked.value } as OrderEntry
      return take<PlannedOrder>(api.POST('/api/orders/what-if', { body }) as never)
    },
    enabled: () => asked.value.length > 0,
    placeholderData: keepPreviousData,
  })
}

/** Mise en place by where things are kept, in the order in which one walks. */
export const STORES = ['cold', 'frozen', 'dry', ''] as const
