/** What the chef reads of the whole kitchen, page by page: changes, and the door. */
import { useInfiniteQuery } from '@tanstack/vue-query'

import { api, take } from '../api/client'
import { nextOffset, type Page, read } from '../api/shelves'
import type { AuditedChange, DoorEvent } from '../api/types'

const SHOWN = 50

function usePages<Row>(name: string, fetch: (offset: number) => Promise<Page<Row>>) {
  const query = useInfiniteQuery({
    queryKey: ['record', name],
    queryFn: ({ pageParam }) => fetch(pageParam),
    initialPageParam: 0,
    getNextPageParam: nextOffset,
  })
  return { error: query.error, ...read<Row, Page<Row>>(query) }
}

const at = (offset: number) => ({ params: { query: { limit: SHOWN, offset } } })

export function useRecord() {
  return {
    changes: usePages('changes', (offset) =>
      take<Page<AuditedChange>>(api.GET('/api/members/changes', at(offset))),
    ),
    events: usePages('events', (offset) =>
      take<Page<DoorEvent>>(api.GET('/api/members/events', at(offset))),
    ),
  }
}
