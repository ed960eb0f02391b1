<script setup lang="ts">
/** Handles on the selected part: drag them, or nudge them with the arrow keys. */
import { ref } from 'vue'

import type { Outline } from '../api/types'
import type { Drag, Handle } from './dragging'
import { type Frame, toX, toY, upwards } from './drawing'

const props = defineProps<{ shape: Outline; handles: Handle[]; frame: Frame; name: string }>()
const emit = defineEmits<{ drag: [drag: Drag, done: boolean] }>()
const SIZE = 11
const SAYS: Record<Handle, string> = {
  height: 'thickness',
  across: 'width',
  lift: 'height above the board',
  level: 'level',
}
/** Where the drag began, and the scale it goes on with. */
const begun = ref<{ handle: Handle; x: number; y: number; scale: number } | null>(null)

function place(handle: Handle) {
  const points = props.shape.loops.flat()
  const xs = points.map(([x]) => x)
  const ys = points.map(([, y]) => y)
  const low = Math.min(...ys)
  const high = Math.max(...ys)
  if (handle === 'across') return { x: Math.max(...xs), y: (low + high) / 2 }
  return { x: (Math.min(...xs) + Math.max(...xs)) / 2, y: handle === 'lift' ? low : high }
}

function press(handle: Handle, event: PointerEvent) {
  ;(event.target as Element).setPointerCapture(event.pointerId)
  begun.value = { handle, x: event.clientX, y: event.clientY, scale: props.frame.scale }
}

function distance(event: PointerEvent): Drag | null {
  if (!begun.value) return null
  const { handle, x, y, scale } = begun.value
  const by =
    handle === 'across'
      ? (event.clientX - x) / scale
      : upwards(props.frame, (y - event.clientY) / scale)
  return { handle, by, fine: event.shiftKey }
}

function move(event: PointerEvent, done: boolean) {
  const drag = distance(event)
  if (drag) emit('drag', drag, done)
  if (done) begun.value = null
}

function nudge(handle: Handle, direction: number, event: KeyboardEvent) {
  const step = event.shiftKey ? 0.5 : 1
  // Both edges of a width move, so half the way is one step of it.
  const by = handle === 'across' ? (direction * step) / 2 : upwards(props.frame, direction * step)
  emit('drag', { handle, by, fine: event.shiftKey }, true)
}
</script>

<template>
  <g>
    <rect
      v-for="handle in handles"
      :key="handle"
      :x="toX(frame, place(handle).x) - SIZE / 2"
      :y="toY(frame, place(handle).y) - SIZE / 2"
      :width="SIZE"
      :height="SIZE"
      rx="2"
      :class="['handle', handle]"
      role="slider"
      tabindex="0"
      :aria-label="`${name}: ${SAYS[handle]}`"
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

.handle.across {
  cursor: ew-resize;
}

.handle:hover,
.handle:focus-visible {
  fill: var(--bronze);
  outline: none;
}
</style>
