/** What is done to a plan by hand: tasks moved, held and marked, ways out taken; then re-planned. */
import { computed, watch } from 'vue'

import type { Became, EasedWay, OrderEntry, Timing } from '../../api/types'
import type { useOrder } from '../usePlanning'
import { momentOf } from './axis'
import type { useTimeline } from './useTimeline'

type Held = NonNullable<Timing['held']>[string]
export interface Hold {
  minute?: number
  person?: string
  minutes?: number
}
const NO_TIMING: Timing = {
  services: [],
  days_ahead: 1,
  aims: [],
  not_before: '',
  out: [],
  off: [],
  borrowed: [],
  hours_earlier: 0,
  hours_later: 0,
  held: {},
  marks: {},
}

/** The same without one of its keys. */
const without = <One>(all: Record<string, One>, key: string) =>
  Object.fromEntries(Object.entries(all).filter(([one]) => one !== key))

export function usePlanByHand(
  order: ReturnType<typeof useOrder>,
  plan: ReturnType<typeof useTimeline>,
  edit: (changed: Partial<OrderEntry>) => Promise<void>,
) {
  const timing = computed<Timing>(() => order.draft.value?.timing ?? NO_TIMING)
  const result = computed(() => plan.timeline.value?.result ?? null)
  const barOf = (task: string) => {
    const people = new Set(
      result.value?.board?.lanes.filter((one) => one.kind === 'person').map((one) => one.key),
    )
    const bars = result.value?.board?.bars.filter((one) => one.task === task) ?? []
    return bars.find((one) => people.has(one.lane)) ?? bars[0]
  }
  const change = (changed: Partial<Timing>) => edit({ timing: { ...timing.value, ...changed } })
  const isRow = (key: string | undefined) => (key && key.length === 36 ? key : null)

  function hold(task: string, change_: Hold | null) {
    if (!change_) return change({ held: without(timing.value.held, task) })
    const held = { ...timing.value.held }
    const bar = barOf(task)
    if (bar && result.value) {
      const before = held[task] as Held | undefined
      const minute = change_.minute ?? bar.since_min
      held[task] = {
        at: momentOf(result.value.origin, minute),
        by: isRow(change_.person ?? before?.by ?? bar.lane),
        minutes: change_.minutes ?? before?.minutes ?? null,
      }
    }
    return change({ held })
  }

  const move = (task: string, minute: number, person: string | null) =>
    hold(task, { minute, ...(person ? { person } : {}) })

  /** What is said of a task becomes its times where the plan is known. */
  async function mark(task: string, what: Became['what']) {
    const found = await plan.became({ task, what })
    if (found) await edit({ timing: found })
  }

  async function takeWay(way: EasedWay) {
    const lines = (order.draft.value?.lines ?? []).map((one) => ({
      ...one,
      count: way.lines[one.key] ?? one.count,
    }))
    await edit({ timing: way.timing, lines })
    await plan.ask(false)
  }

  function turnOff(id: string, off: boolean) {
    const now = (timing.value.off ?? []).filter((one) => one !== id)
    void change({ off: off ? [...now, id] : now })
  }

  /** What was moved, marked or taken away is planned around at once, everything else kept near. */
  const byHand = computed(() => {
    const { held, marks, out, off } = timing.value
    return order.draft.value ? JSON.stringify([order.row.value?.id, held, marks, out, off]) : ''
  })
  watch(byHand, async (now, before) => {
    const same = (one: string) => (one ? (JSON.parse(one) as unknown[])[0] : undefined)
    if (!before || same(now) !== same(before) || !plan.timeline.value) return
    await saved()
    if (!order.problem.value && byHand.value === now) await plan.ask(true)
  })
  /** Until what is on the screen is what the kitchen has. */
  const saved = () =>
    new Promise<void>((done) => {
      const stop = watch(
        order.saving,
        (saving) => {
          if (!saving) {
            done()
            queueMicrotask(() => stop())
          }
        },
        { immediate: true, flush: 'post' },
      )
    })

  // Whether the plan is of what was just saved.
  watch(
    () => order.row.value?.revision,
    () => void plan.look(),
  )

  return { timing, change, hold, move, mark, takeWay, turnOff }
}
