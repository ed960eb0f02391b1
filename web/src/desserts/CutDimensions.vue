<script setup lang="ts">
/** Dimension lines: heights and gaps along the right, the gap to the wall of what is selected. */
import { computed } from 'vue'

import type { Cut, Dimension } from '../api/types'
import { figure } from '../kit/format'
import { type Frame, toX, toY } from './drawing'
import type { Chosen } from './parts'

const props = defineProps<{ cut: Cut; frame: Frame; chosen: Chosen | null }>()
/** Below this many pixels a number has no room beside its line. */
const READABLE = 13

const owns = (one: Dimension) =>
  one.part === props.chosen?.part && (one.layer === null || one.layer === props.chosen.layer)
const heights = computed(() =>
  props.cut.dimensions
    .filter((one) => one.what !== 'side' && one.value_mm > 0)
    .map((one) => {
      const from = toY(props.frame, one.start[1])
      const to = toY(props.frame, one.end[1])
      const own = owns(one)
      return { ...one, from, to, own, told: own || one.short || Math.abs(from - to) > READABLE }
    }),
)
const side = computed(() =>
  props.cut.dimensions.find(
    (one) => one.what === 'side' && one.part === props.chosen?.part && one.value_mm > 0,
  ),
)
const right = computed(() => toX(props.frame, props.cut.width_mm / 2) + 16)
</script>

<template>
  <g aria-hidden="true">
    <g
      v-for="(one, i) in heights"
      :key="i"
      :class="['dimension', { own: one.own, short: one.short }]"
    >
      <path :d="`M${right} ${one.from}h7m-3.5 0V${one.to}m-3.5 0h7`" />
      <text v-if="one.told" :x="right + 13" :y="(one.from + one.to) / 2 + 4.5">
        {{ figure(one.value_mm, 1) }}
      </text>
    </g>
    <g v-if="side" :class="['dimension', 'own', { short: side.short }]">
      <path
        stroke-dasharray="4 3"
        :d="`M${toX(frame, side.start[0])} ${toY(frame, side.start[1])}H${toX(frame, side.end[0])}`"
      />
      <text
        class="on-part"
        :x="(toX(frame, side.start[0]) + toX(frame, side.end[0])) / 2"
        :y="toY(frame, side.start[1]) - 5"
        text-anchor="middle"
      >
        {{ figure(side.value_mm, 1) }}
      </text>
    </g>
  </g>
</template>

<style scoped>
.dimension path {
  fill: none;
  stroke: var(--muted);
}

.dimension text {
  fill: var(--muted);
  font-size: 13px;
  font-weight: 600;
}

.dimension.own path {
  stroke: var(--bronze-text);
  stroke-width: 1.4;
}

.dimension.own text {
  fill: var(--bronze-text);
  font-weight: 700;
}

.dimension.short path {
  stroke: var(--brick);
}

.dimension.short text {
  fill: var(--brick);
  font-weight: 700;
}

.dimension .on-part {
  paint-order: stroke;
  stroke: var(--porcelain);
  stroke-width: 3px;
}
</style>
