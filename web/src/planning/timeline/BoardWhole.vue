<script setup lang="ts">
/** The whole board, small, with what is on the screen of it; pressed, the screen goes there. */
import { computed } from 'vue'

import type { Board } from '../../api/types'
import { lookOf } from '../../kit/flavors'
import { heightOf, layOut, yOf } from './axis'

const props = defineProps<{
  board: Board
  looks: Record<string, { flavor: string; kind: string }>
  now: number | null
  seen: { top: number; share: number }
}>()
const emit = defineEmits<{ go: [share: number] }>()
const WIDE = 44
const laid = computed(() => layOut(props.board.stretches, 20))
const tall = computed(() => Math.max(1, heightOf(laid.value)))
const y = (minute: number) => yOf(laid.value, minute)
const lane = computed(() => new Map(props.board.lanes.map((one, at) => [one.key, at])))
const each = computed(() => WIDE / Math.max(1, props.board.lanes.length))
function press(event: MouseEvent) {
  const box = (event.currentTarget as SVGElement).getBoundingClientRect()
  emit('go', (event.clientY - box.top) / box.height)
}
</script>

<template>
  <svg
    class="whole no-print"
    :viewBox="`0 0 ${WIDE} ${tall}`"
    preserveAspectRatio="none"
    aria-hidden="true"
    @click="press"
  >
    <rect
      v-for="one in laid.filter((x) => x.folded)"
      :key="one.since_min"
      x="0"
      :y="one.top"
      :width="WIDE"
      :height="one.height"
      class="night"
    />
    <rect
      v-for="(one, at) in board.others"
      :key="`other ${at}`"
      :x="(lane.get(one.lane) ?? 0) * each"
      :y="y(one.since_min)"
      :width="each * 0.8"
      :height="y(one.until_min) - y(one.since_min)"
      class="other"
    />
    <rect
      v-for="one in board.stays"
      :key="one.key"
      :x="(lane.get(one.lane) ?? 0) * each"
      :y="y(one.since_min)"
      :width="each * 0.8"
      :height="y(one.until_min) - y(one.since_min)"
      :class="one.climate"
    />
    <rect
      v-for="one in board.bars"
      :key="`${one.lane} ${one.task}`"
      :x="(lane.get(one.lane) ?? 0) * each"
      :y="y(one.since_min)"
      :width="each * 0.8"
      :height="Math.max(2, y(one.until_min) - y(one.since_min))"
      :fill="lookOf(looks[one.formula]).color"
    />
    <line v-if="now !== null" x1="0" :x2="WIDE" :y1="y(now)" :y2="y(now)" class="now" />
    <rect
      x="1"
      :y="seen.top * tall + 1"
      :width="WIDE - 2"
      :height="Math.max(4, seen.share * tall - 2)"
      class="seen"
    />
  </svg>
</template>

<style scoped>
.whole {
  background: var(--porcelain-shade);
  border: 1px solid var(--rule);
  border-radius: 4px;
  cursor: pointer;
  height: 100%;
  min-height: 0;
  width: 100%;
}

.other {
  fill: var(--rule);
}

.night {
  fill: var(--leaf-strong);
}

.frozen {
  fill: #c8dde6;
}

.chilled,
.room {
  fill: var(--leaf);
}

.now {
  stroke: var(--brick);
  stroke-width: 3;
}

.seen {
  fill: none;
  stroke: var(--fern);
  stroke-width: 2;
  vector-effect: non-scaling-stroke;
}
</style>
