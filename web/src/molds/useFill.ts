/** How high a volume stands in a mold. */
import { useQuery } from '@tanstack/vue-query'

import { api, take } from '../api/client'
import type { Working } from '../api/types'

export const useFill = (id: () => string, volumeMl: () => number | null) =>
  useQuery({
    queryKey: ['worked out', 'filled', id, volumeMl],
    queryFn: () =>
      take<Working>(
        api.POST('/api/molds/{row_id}/fill', {
          params: { path: { row_id: id() } },
          body: { volume_ml: volumeMl() ?? 0 },
        }),
      ),
    enabled: () => volumeMl() !== null,
  })
