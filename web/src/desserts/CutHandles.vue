<script setup lang="ts">
/** Handles on the selected part: drag them, or nudge them with the arrow keys. */
import { ref } from 'vue'

import type { HandleWords, Outline } from '../api/types'
import type { Drag } from './dragging'
import { type Frame, toX, toY, upwards } from './drawing'

const props = defineProps<{ shape: Outline; handles: HandleWords[]; frame: Frame; name: string }>()
const emit = defineEmits<{ drag: [drag: Drag, done: boolean] }>()
const SIZE = 11
/** Where the drag began, and the scale it goes on with. */
const begun = ref<{ handle: HandleWords; x: number; y: number; scale: number } | null>(null)

function place(handle: HandleWords) {
  const points = props.shape.loops.flat()
  const xs = points.map(([x]) => x)
  const ys = points.map(([, y]) => y)
  const low = Math.min(...ys)
  const high = Math.max(...ys)
  if (handle.edge === 'side') return { x: Math.max(...xs), y: (low + high) / 2 }
  return { x: (Math.min(...xs) + Math.max(...xs)) / 2, y: handle.edge === 'bottom' ? low : high }
}

function press(handle: HandleWords, event: PointerEvent) {
  ;(event.target as Element).setPointerCapture(event.pointerId)
  begun.value = { handle, x: event.clientX, y: event.clientY, scale: props.frame.scale }
}

function distance(event: PointerEvent): Drag | null {
  if (!begun.value) return null
  const { handle, x, y, scale } = begun.value
  const by =
    handle.axis === 'out'
      ? (event.clientX - x) / scale
      : upwards(props.frame, (y - event.clientY) / scale)
  return { handle, by, fine: event.shiftKey }
}

function move(event: PointerEvent, done: boolean) {
  const drag = distance(event)
  if (drag) emit('drag', drag, done)
  if (done) begun.value = null
}

function nudge(handle: HandleWords, direction: number, event: KeyboardEvent) {
  const step = event.shiftKey ? 0.5 : 1
  // A field that goes twice as far as the pointer is one step further after half the way.
  const way = (direction * step) / handle.times
  const by = handle.axis === 'out' ? way : upwards(props.frame, way)
  emit('drag', { handle, by, fine: event.shiftKey }, true)
}
</script>

<template>
  <g>
    <rect
      v-for="handle in handles"
      :key="handle.name"
      :x="toX(frame, place(handle).x) - SIZE / 2"
      :y="toY(frame, place(handle).y) - SIZE / 2"
      :width="SIZE"
      :height="SIZE"
      rx="2"
      :class="['handle', handle.name, handle.axis]"
      role="slider"
      tabindex="0"
      :aria-label="`${name}: ${handle.says}`"
      :aria-valuenow="Math.round(place(handle).y)"
      @pointerdown.prevent="press(handle, $event)"
      @pointermove="move($event, false)"
      @pointerup="move($event, true)"
      @pointercancel="move($event, true)"
      @keydown.up.prevent="nudge(handle, 1, $event)"
      @keydown.right.prevent="nudge(handle, 1, $event)"
      @keydown.down.prevent="nudge(handle, -1, $event)"
      @keydown.left.prevent="nudge(handle, -1, $event)"
    />
  </g>
</template>

<style scoped>
.handle {
  cursor: ns-resize;
  fill: var(--paper);
  stroke: var(--bronze);
  stroke-width: 2;
  touch-action: none;
}

.handle.out {
  cursor: ew-resize;
}

.handle:hover,
.handle:focus-visible {
  fill: var(--bronze);
  outline: none;
}
</style>
