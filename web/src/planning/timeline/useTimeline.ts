/** The plan of an order: asked for, watched while it is made, stopped. */
import { useQuery, useQueryClient } from '@tanstack/vue-query'
import { computed, ref, shallowRef, watch } from 'vue'

import { api, refusalOf, take } from '../../api/client'
import type { Became, Timeline, Timing } from '../../api/types'

const BUSY = ['queued', 'running']
const LOOKS_EVERY_MS = 400
/** At first more often: a plan near to the one before is there at once. */
const AT_FIRST_MS = 100
const FIRST_MS = 2500
const REST_MS = 30_000

export function useTimeline(id: () => string | undefined) {
  const client = useQueryClient()
  const refused = ref('')
  const asking = ref(false)
  let askedAt = 0
  const key = computed(() => ['timelines', id()])
  const query = useQuery({
    shallow: true,
    queryKey: key,
    queryFn: () =>
      take<Timeline | null>(
        api.GET('/api/timelines/of/{order_id}', {
          params: { path: { order_id: id() ?? '' } },
        }) as never,
      ),
    enabled: () => Boolean(id()),
    refetchInterval: (one) =>
      !BUSY.includes(one.state.data?.state ?? '')
        ? REST_MS
        : Date.now() - askedAt < FIRST_MS
          ? AT_FIRST_MS
          : LOOKS_EVERY_MS,
  })
  /** Until the next has an answer, the one before stays on the screen. */
  const before = shallowRef<Timeline | null>(null)
  watch([key, query.data], ([, now], [keyBefore]) => {
    if (keyBefore?.[1] !== id()) before.value = null
    if (now?.result?.board) before.value = now
  })
  const timeline = computed(() => {
    const now = query.data.value
    const drawn = before.value?.result ?? null
    if (!now?.result) return now && { ...now, result: drawn }
    // Where nothing fits, the plan before is still what one goes on from.
    return now.result.conflict && drawn?.board
      ? {
          ...now,
          result: {
            ...now.result,
            board: drawn.board,
            looks: { ...drawn.looks, ...now.result.looks },
          },
        }
      : now
  })
  const busy = computed(() => BUSY.includes(query.data.value?.state ?? ''))

  async function ask(near: boolean) {
    refused.value = ''
    asking.value = true
    askedAt = Date.now()
    try {
      const found = await take<Timeline>(
        api.POST('/api/timelines/of/{order_id}', {
          params: { path: { order_id: id() ?? '' } },
          body: { near },
        }) as never,
      )
      // What was asked before is not of this one.
      await client.cancelQueries({ queryKey: key.value })
      client.setQueryData(key.value, found)
      await client.invalidateQueries({ queryKey: ['services'] })
    } catch (error) {
      refused.value = refusalOf(error).detail
    } finally {
      asking.value = false
    }
  }

  /** The timing with what is said of a task now; nothing where that is refused. */
  async function became(body: Became) {
    refused.value = ''
    try {
      return await take<Timing>(
        api.POST('/api/timelines/of/{order_id}/became', {
          params: { path: { order_id: id() ?? '' } },
          body,
        }) as never,
      )
    } catch (error) {
      refused.value = refusalOf(error).detail
      return null
    }
  }

  async function stop() {
    const now = query.data.value
    if (!now) return
    try {
      await take(
        api.POST('/api/timelines/{timeline_id}/stop', {
          params: { path: { timeline_id: now.id } },
        }) as never,
      )
      await query.refetch()
    } catch (error) {
      refused.value = refusalOf(error).detail
    }
  }

  return { timeline, busy, asking, refused, ask, stop, became, look: () => query.refetch() }
}
