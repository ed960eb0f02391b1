/** How much water stands around so many of a mold on a tray. */
import { useQuery } from '@tanstack/vue-query'

import { api, take } from '../api/client'
import type { Working } from '../api/types'

export const useBath = (id: () => string, tray: () => string | undefined, count: () => number) =>
  useQuery({
    queryKey: ['worked out', 'bath', id, tray, count],
    queryFn: () =>
      take<Working>(
        api.POST('/api/molds/{row_id}/bath', {
          params: { path: { row_id: id() } },
          body: { tray: tray() ?? '', count: count() },
        }),
      ),
    enabled: () => Boolean(tray()),
  })
