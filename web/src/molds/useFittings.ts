/** What a mold is lined with and what fits into it. */
import { useQuery } from '@tanstack/vue-query'

import { api, take } from '../api/client'
import type { Fittings } from '../api/types'

/** Worked out anew with every revision of the mold. */
export const useFittings = (id: () => string, revision: () => number | undefined) =>
  useQuery({
    queryKey: ['worked out', 'fittings', id, revision],
    queryFn: async () =>
      (await take(
        api.GET('/api/molds/{row_id}/fittings', { params: { path: { row_id: id() } } }),
      )) as Fittings,
    enabled: () => revision() !== undefined,
  })
