<script setup lang="ts">
/** Millimetre rulers: across the mold from its left wall, upwards from the board or the mold. */
import { computed } from 'vue'

import type { Cut } from '../api/types'
import { type Frame, marks, rulerStep, toX } from './drawing'

const props = defineProps<{ cut: Cut; frame: Frame }>()
const half = computed(() => props.cut.mold_width_mm / 2)
const left = computed(() => toX(props.frame, -props.cut.width_mm / 2) - 14)
const across = computed(() => marks(0, props.cut.mold_width_mm, rulerStep(props.frame.scale)))
const upright = computed(() => marks(0, props.cut.height_mm, rulerStep(props.frame.scale, 18)))
</script>

<template>
  <g class="ruler" aria-hidden="true">
    <template v-for="y in upright" :key="`y${y}`">
      <path :d="`M${left} ${frame.y0 - y * frame.scale}h-6`" />
      <text :x="left - 10" :y="frame.y0 - y * frame.scale + 4" text-anchor="end">{{ y }}</text>
    </template>
    <template v-for="x in across" :key="`x${x}`">
      <path :d="`M${toX(frame, x - half)} ${frame.y0 + 8}v6`" />
      <text :x="toX(frame, x - half)" :y="frame.y0 + 27" text-anchor="middle">{{ x }}</text>
    </template>
  </g>
</template>

<style scoped>
path {
  stroke: var(--muted);
}

text {
  fill: var(--muted);
  font-size: 12.5px;
}
</style>
