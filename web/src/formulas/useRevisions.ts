/** Every save of a formula: named, compared with another, brought back. */
import { keepPreviousData, useQuery, useQueryClient } from '@tanstack/vue-query'
import { ref } from 'vue'

import { api, take } from '../api/client'
import type { Comparison, Revision } from '../api/types'

const at = (id: string, revision: number) => ({ params: { path: { row_id: id, revision } } })

/** Every save of a formula, the newest first. */
export function useRevisions(id: () => string | undefined, revision: () => number | undefined) {
  const query = useQuery({
    shallow: true,
    queryKey: ['formulas', 'revisions', id, revision],
    queryFn: () =>
      take<Revision[]>(
        api.GET('/api/formulas/{row_id}/revisions', { params: { path: { row_id: id() ?? '' } } }),
      ),
    enabled: () => Boolean(id()),
    placeholderData: keepPreviousData,
  })
  async function mark(one: Revision, change: { name?: string; good?: boolean }) {
    const body = { name: one.name, good: one.good, ...change }
    await take(
      api.PUT('/api/formulas/{row_id}/revisions/{revision}', {
        ...at(id() ?? '', one.revision),
        body,
      }),
    )
    await query.refetch()
  }
  return { ...query, mark }
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
      refused.value = (error as Error).message
    }
  }

  return { refused, bringBack }
}
