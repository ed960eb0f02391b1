/** Every save of a formula: named, compared with another, brought back. */
import { keepPreviousData, useInfiniteQuery, useQuery, useQueryClient } from '@tanstack/vue-query'
import { computed, ref } from 'vue'

import { api, refusalOf, take } from '../api/client'
import { nextOffset, read } from '../api/shelves'
import type { Comparison, Revision, Revisions } from '../api/types'

const at = (id: string, revision: number) => ({ params: { path: { row_id: id, revision } } })

/** Every save of a formula, the newest first. */
export function useRevisions(id: () => string | undefined, revision: () => number | undefined) {
  const client = useQueryClient()
  const query = useInfiniteQuery({
    shallow: true,
    queryKey: ['formulas', 'revisions', id, revision],
    queryFn: ({ pageParam }) =>
      take<Revisions>(
        api.GET('/api/formulas/{row_id}/revisions', {
          params: { path: { row_id: id() ?? '' }, query: { offset: pageParam } },
        }),
      ),
    initialPageParam: 0,
    getNextPageParam: nextOffset,
    enabled: () => Boolean(id()),
    placeholderData: keepPreviousData,
  })
  const { pages, rows: newest, left, more } = read<Revision, Revisions>(query)
  /** With a name or of a good batch, however old. */
  const marked = computed(() =>
    (pages.value[0]?.marked ?? []).filter(
      (one) => !newest.value.some(({ revision }) => revision === one.revision),
    ),
  )
  async function mark(one: Revision, change: { name?: string; good?: boolean }) {
    const body = { name: one.name, good: one.good, ...change }
    await take(
      api.PUT('/api/formulas/{row_id}/revisions/{revision}', {
        ...at(id() ?? '', one.revision),
        body,
      }),
    )
    // What was asked before the mark was kept may be answered without it.
    await client.cancelQueries({ queryKey: ['formulas', 'revisions', id()] })
    await query.refetch()
    // A good batch moves the dial of its job.
    await client.invalidateQueries({ queryKey: ['worked out', 'reading'] })
  }
  return {
    newest,
    marked,
    left,
    more,
    mark,
  }
}

/** Two revisions side by side. */
export function useComparison(id: () => string, pair: () => { before: number; after: number }) {
  return useQuery({
    shallow: true,
    queryKey: ['worked out', 'comparison', id, pair],
    queryFn: () =>
      take<Comparison>(
        api.GET('/api/formulas/{row_id}/compare', {
          params: { path: { row_id: id() }, query: pair() },
        }),
      ),
    placeholderData: keepPreviousData,
  })
}

interface Restorable {
  row: { value: { revision: number } | undefined }
  reload: () => Promise<unknown>
}

/** The formula as it was at an earlier revision; the save is a revision of its own. */
export function useBringBack(
  id: () => string,
  formula: Restorable,
  through: (change: () => Promise<void>) => Promise<void>,
) {
  const client = useQueryClient()
  const refused = ref('')

  async function bringBack(revision: number) {
    refused.value = ''
    const body = { revision: formula.row.value?.revision ?? 0 }
    try {
      await through(async () => {
        await take(
          api.POST('/api/formulas/{row_id}/revisions/{revision}/restore', {
            ...at(id(), revision),
            body,
          }),
        )
        await formula.reload()
      })
      await client.invalidateQueries({ queryKey: ['worked out'] })
    } catch (error) {
      refused.value = refusalOf(error).detail
    }
  }

  return { refused, bringBack }
}
