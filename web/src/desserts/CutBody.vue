<script setup lang="ts">
/** One part of the cut: select it; what can be carried is moved by its body, what stands on
 * another is reordered by the grip at its left edge. */
import { computed, ref } from 'vue'

import { drawnAs } from '../api/house'
import type { Outline } from '../api/types'
import type { Drag } from './dragging'
import { type Frame, loopsPath, toX, toY, upwards } from './drawing'

const props = defineProps<{
  shape: Outline
  frame: Frame
  fill: string
  name: string
  chosen: boolean
  movable: boolean
  reorderable: boolean
}>()
const emit = defineEmits<{
  choose: []
  drag: [drag: Drag, done: boolean]
  /** Let go, or carried past, with its middle at that height [mm]. */
  reorder: [atMm: number, done: boolean]
}>()
/** A press that goes no further than this is a click. */
const CLICK_PX = 3
const GRIP = 16

const begun = ref<{ x: number; y: number; going: boolean } | null>(null)
const carried = ref<{ y: number; middle: number } | null>(null)

const points = computed(() => props.shape.loops.flat())
const left = computed(() => Math.min(...points.value.map(([x]) => x)))
const middle = computed(() => {
  const ys = points.value.map(([, y]) => y)
  return (Math.min(...ys) + Math.max(...ys)) / 2
})

function press(event: PointerEvent) {
  if (!props.movable) return
  ;(event.target as Element).setPointerCapture(event.pointerId)
  begun.value = { x: event.clientX, y: event.clientY, going: false }
}

function move(event: PointerEvent, done: boolean) {
  const from = begun.value
  if (!from) return
  const [right, up] = [event.clientX - from.x, from.y - event.clientY]
  if (!from.going && Math.hypot(right, up) > CLICK_PX) {
    from.going = true
    emit('choose')
  }
  if (from.going) {
    const { scale } = props.frame
    const by = upwards(props.frame, up / scale)
    emit('drag', { handle: null, by, aside: right / scale, fine: event.shiftKey }, done)
  }
  if (done) begun.value = null
}

function nudge(up: number, right: number, event: KeyboardEvent) {
  if (!props.movable || !props.chosen) return
  event.preventDefault()
  const step = event.shiftKey ? 0.5 : 1
  const by = upwards(props.frame, up * step)
  emit('drag', { handle: null, by, aside: right * step, fine: true }, true)
}

function lift(event: PointerEvent) {
  ;(event.target as Element).setPointerCapture(event.pointerId)
  carried.value = { y: event.clientY, middle: middle.value }
}

function carry(event: PointerEvent, done: boolean) {
  if (!carried.value) return
  const { y, middle: from } = carried.value
  emit('reorder', from + upwards(props.frame, (y - event.clientY) / props.frame.scale), done)
  if (done) carried.value = null
}
</script>

<template>
  <path
    :d="loopsPath(shape.loops, frame)"
    :fill="fill"
    :fill-rule="drawnAs(shape.drawn)?.overlaps ? 'nonzero' : 'evenodd'"
    :class="['part', { movable }]"
    role="button"
    tabindex="0"
    :aria-label="name"
    :aria-pressed="chosen"
    @click="emit('choose')"
    @keydown.enter.prevent="emit('choose')"
    @keydown.space.prevent="emit('choose')"
    @keydown.up="nudge(1, 0, $event)"
    @keydown.down="nudge(-1, 0, $event)"
    @keydown.right="nudge(0, 1, $event)"
    @keydown.left="nudge(0, -1, $event)"
    @pointerdown="press"
    @pointermove="move($event, false)"
    @pointerup="move($event, true)"
    @pointercancel="move($event, true)"
  />
  <g
    v-if="reorderable"
    class="grip"
    :transform="`translate(${toX(frame, left) + 4} ${toY(frame, middle) - GRIP / 2})`"
    @pointerdown.prevent="lift"
    @pointermove="carry($event, false)"
    @pointerup="carry($event, true)"
    @pointercancel="carry($event, true)"
  >
    <title>Drag up or down to change the order</title>
    <rect :width="GRIP" :height="GRIP" rx="4" />
    <path :d="`M4 5.5h${GRIP - 8}M4 8h${GRIP - 8}M4 10.5h${GRIP - 8}`" />
  </g>
</template>

<style scoped>
.part {
  cursor: pointer;
  stroke: var(--ink);
  stroke-opacity: 0.28;
  stroke-width: 0.8;
}

.part:hover {
  stroke-opacity: 0.8;
}

.part.movable {
  cursor: move;
  touch-action: none;
}

.part:focus {
  outline: none;
}

.part:focus-visible {
  stroke: var(--bronze);
  stroke-dasharray: 5 3;
  stroke-opacity: 1;
  stroke-width: 2.6;
}

.grip {
  cursor: grab;
  touch-action: none;
}

.grip rect {
  fill: var(--paper);
  stroke: var(--bronze);
  stroke-width: 1.4;
}

.grip path {
  stroke: var(--bronze-text);
  stroke-width: 1.2;
}
</style>
