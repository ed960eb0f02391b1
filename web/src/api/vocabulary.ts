/** The words of the pantry, the same for every kitchen. */
import { useQuery } from '@tanstack/vue-query'

import { api, take } from './client'
import type { Vocabulary } from './types'

export function useVocabulary() {
  return useQuery({
    shallow: true,
    queryKey: ['vocabulary'],
    queryFn: () => take<Vocabulary>(api.GET('/api/ingredients/vocabulary')),
    staleTime: Infinity,
  })
}
