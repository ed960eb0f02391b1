/** Tasks moved on the board: by the pointer, and by keys. */
import { computed, ref } from 'vue'

import type { Board } from '../../api/types'
import { byLane } from './axis'
import { isPerson } from './useLanes'

type WorkBar = Board['bars'][number]
const STEP_MIN = 5
const LEAP_MIN = 30
const STARTS_PX = 5

interface On {
  board: () => Board
  disabled: () => boolean
  /** The minute that lies so many pixels below where a bar begins. */
  below: (bar: WorkBar, px: number) => number
  move: (task: string, minute: number, person: string | null) => void
}

export function useMoving({ board, disabled, below, move }: On) {
  /** What is under way, and where it would come to lie. */
  const drag = ref<{ bar: WorkBar; from: number; minute: number; lane: string; on: boolean }>()

  function take(bar: WorkBar, event: PointerEvent) {
    const lane = board().lanes.find((one) => one.key === bar.lane)
    if (disabled() || !lane || !isPerson(lane) || event.button !== 0 || bar.mark) return
    drag.value = { bar, from: event.clientY, minute: bar.since_min, lane: bar.lane, on: false }
    ;(event.currentTarget as HTMLElement).setPointerCapture(event.pointerId)
  }
  function pull(event: PointerEvent) {
    const now = drag.value
    if (!now) return
    const by = event.clientY - now.from
    if (!now.on && Math.abs(by) < STARTS_PX) return
    const over = document
      .elementsFromPoint(event.clientX, event.clientY)
      .find((one) => one instanceof HTMLElement && one.dataset.person) as HTMLElement | undefined
    const lane = over?.dataset.person ?? now.lane
    drag.value = { ...now, on: true, minute: below(now.bar, by), lane }
  }
  function drop() {
    const now = drag.value
    drag.value = undefined
    if (!now?.on) return
    const other = now.lane === now.bar.lane ? null : now.lane
    if (other || now.minute !== now.bar.since_min) move(now.bar.task, now.minute, other)
  }
  const cancel = () => (drag.value = undefined)

  /** Where it would lie if it were let go now. */
  const ghost = computed(() => {
    const now = drag.value
    if (!now?.on) return undefined
    const long = now.bar.until_min - now.bar.since_min
    return { lane: now.lane, since_min: now.minute, until_min: now.minute + long, track: 0 }
  })

  /** Alt with an arrow moves it, an arrow alone goes to the next one of its lane. */
  function key(bar: WorkBar, event: KeyboardEvent) {
    if (!event.key.startsWith('Arrow')) return
    if (event.altKey) {
      event.preventDefault()
      if (!disabled()) byKey(bar, event)
      return
    }
    const by = { ArrowUp: -1, ArrowDown: 1 }[event.key]
    if (!by) return
    event.preventDefault()
    const row = [...(byLane(board().bars).get(bar.lane) ?? [])]
    row.sort((a, b) => a.since_min - b.since_min)
    const other = row[row.indexOf(bar) + by]
    if (other) focus(other)
  }
  function byKey(bar: WorkBar, event: KeyboardEvent) {
    const people = board().lanes.filter(isPerson)
    const at = people.findIndex((one) => one.key === bar.lane)
    if (at < 0) return
    const step = event.shiftKey ? LEAP_MIN : STEP_MIN
    const later = { ArrowUp: -step, ArrowDown: step }[event.key]
    if (later) return move(bar.task, bar.since_min + later, null)
    const person = people[at + (event.key === 'ArrowLeft' ? -1 : 1)]
    if (person) move(bar.task, bar.since_min, person.key)
  }
  const focus = (bar: WorkBar) =>
    document.querySelector<HTMLElement>(`[data-bar="${bar.lane} ${bar.task}"]`)?.focus()

  return { take, pull, drop, cancel, ghost, key }
}
