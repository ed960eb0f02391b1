<script setup lang="ts">
/** An outline with a handle at each point of it: dragged, or moved by arrow keys, 1 mm a step. */
import { computed, ref } from 'vue'

import type { FormWords } from '../api/types'
import { fit, loopsPath, toX, toY } from '../desserts/drawing'
import { useSize } from '../kit/useSize'
import type { MeasureRow } from './MeasureTable.vue'

const props = defineProps<{
  table: FormWords['tables'][number]
  rows: MeasureRow[]
  loops: [number, number][][]
  disabled: boolean
}>()
const emit = defineEmits<{ move: [at: number, change: MeasureRow] }>()

const MARGINS = { left: 14, right: 14, top: 14, bottom: 14 }
const TALL = 220
const box = ref<HTMLElement | null>(null)
const size = useSize(box)
/** While a point is carried: which, and where it is now. */
const carried = ref<{ at: number; x: number; y: number } | null>(null)

const points = computed(() => props.loops.flat())
const reach = computed(() => {
  const ys = points.value.map(([, y]) => y)
  const low = Math.min(0, ...ys)
  return {
    width: 2 * Math.max(1, ...points.value.map(([x]) => Math.abs(x))),
    height: Math.max(1, ...ys) - low,
    low,
  }
})
const frame = computed(() => {
  const whole = fit(reach.value, { width: size.width, height: TALL }, MARGINS)
  return { ...whole, y0: whole.y0 + reach.value.low * whole.scale }
})
/** An outline lies around the middle of its box, wherever its corners were measured from. */
const middle = computed(() => {
  if (props.table.rises) return { x: 0, y: 0 }
  const half = (field: string) => {
    const all = props.rows.map((row) => row[field] ?? 0)
    return (Math.min(...all) + Math.max(...all)) / 2
  }
  return { x: half(props.table.across), y: half(props.table.up) }
})
const placed = computed(() =>
  props.rows.map((row, at) => {
    if (carried.value?.at === at) return carried.value
    const { across, up, per } = props.table
    return {
      at,
      x: ((row[across] ?? 0) - middle.value.x) / per,
      y: (row[up] ?? 0) - middle.value.y,
    }
  }),
)
const radius = computed(() => (props.rows.length > 16 ? 4 : 7))

function settle(at: number, x: number, y: number) {
  const row = props.rows[at]
  if (!row) return
  const { across, up, per } = props.table
  const right = Math.round(x * per + middle.value.x)
  emit('move', at, { ...row, [across]: right, [up]: Math.round(y + middle.value.y) })
}

function lift(at: number, event: PointerEvent) {
  if (props.disabled) return
  ;(event.target as Element).setPointerCapture(event.pointerId)
  const point = placed.value[at]
  if (point) carried.value = { ...point }
}

function carry(event: PointerEvent) {
  if (!carried.value || !box.value) return
  const { left, top } = box.value.getBoundingClientRect()
  const { x0, y0, scale } = frame.value
  carried.value.x = (event.clientX - left - x0) / scale
  carried.value.y = (y0 - (event.clientY - top)) / scale
}

function drop() {
  if (carried.value) settle(carried.value.at, carried.value.x, carried.value.y)
  carried.value = null
}

function nudge(at: number, right: number, up: number) {
  const row = props.rows[at]
  if (!row || props.disabled) return
  const { across, up: high } = props.table
  // A step moves one number, and leaves the other as exact as it was entered.
  const moved = right ? { [across]: (row[across] ?? 0) + right } : { [high]: (row[high] ?? 0) + up }
  emit('move', at, { ...row, ...moved })
}
</script>

<template>
  <div ref="box" class="points">
    <svg
      v-if="size.width"
      :width="size.width"
      :height="TALL"
      role="group"
      :aria-label="table.label"
    >
      <path :d="loopsPath(loops, frame)" class="inside" />
      <circle
        v-for="{ at, x, y } in placed"
        :key="at"
        :cx="toX(frame, x)"
        :cy="toY(frame, y)"
        :r="radius"
        role="button"
        :tabindex="disabled ? -1 : 0"
        :aria-label="`Point ${at + 1}, ${Math.round(x * table.per)} across, ${Math.round(y)} up`"
        @pointerdown.prevent="lift(at, $event)"
        @pointermove="carry"
        @pointerup="drop"
        @pointercancel="carried = null"
        @keydown.right.prevent="nudge(at, 1, 0)"
        @keydown.left.prevent="nudge(at, -1, 0)"
        @keydown.up.prevent="nudge(at, 0, 1)"
        @keydown.down.prevent="nudge(at, 0, -1)"
      />
    </svg>
  </div>
</template>

<style scoped>
.inside {
  fill: var(--leaf);
  stroke: var(--fern);
  stroke-width: 1.6;
}

circle {
  cursor: move;
  fill: var(--paper);
  stroke: var(--bronze);
  stroke-width: 2.4;
  touch-action: none;
}

circle:focus-visible {
  fill: var(--bronze);
  outline: none;
}
</style>
