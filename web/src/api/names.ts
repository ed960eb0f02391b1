/** Names and measures as this kitchen says them. */
import { useInfiniteQuery, useQuery } from '@tanstack/vue-query'

import { api, take } from './client'
import { nextOffset, read, useReread } from './shelves'
import type { Lacking, LackingPage, Usual } from './types'

/** A number typed with a fraction or in another unit, in the unit it is kept in. */
export async function readMeasure(text: string, kept: string, shown: string): Promise<number> {
  const body = { text, kept, shown }
  return (await take<{ value: number }>(api.POST('/api/names/measure', { body }))).value
}

/** What bare words mean in this kitchen. */
export const useUsual = () =>
  useQuery({
    queryKey: ['ingredients', 'usual'],
    queryFn: () => take<Usual[]>(api.GET('/api/names/usual')),
  })

/** Ingredients of which something is not known, page by page. */
export function useLacking() {
  const query = useInfiniteQuery({
    shallow: true,
    queryKey: ['ingredients', 'list', 'lacking'],
    queryFn: ({ pageParam }) =>
      take<LackingPage>(
        api.GET('/api/ingredients/lacking', { params: { query: { offset: pageParam } } }),
      ),
    initialPageParam: 0,
    getNextPageParam: nextOffset,
  })
  return read<Lacking, LackingPage>(query)
}

/** Give names and bare words a meaning; whatever names ingredients is read anew. */
export function useNaming() {
  const reread = useReread()
  return {
    async remember(id: string, name: string) {
      const params = { path: { row_id: id } }
      await take(api.POST('/api/ingredients/{row_id}/names', { params, body: { name } }))
      await reread('ingredients')
    },
    /** From now on the word means this, or is asked. */
    async mean(word: string, ingredient: string | null) {
      await take(api.PUT('/api/names/usual', { body: { word, ingredient } }))
      await reread('ingredients')
    },
  }
}
