<script setup lang="ts">
/** A mold from above, and cut through its middle where its walls are not upright. */
import { computed } from 'vue'

import type { MoldSketch } from '../api/types'
import { reachOf } from './reach'

const props = defineProps<{ figures: MoldSketch; reach: number }>()
const WIDEST = 240
const GAP = 10
const scale = computed(() => WIDEST / 2 / props.reach)
const half = computed(() => ({
  x: reachOf(props.figures) * scale.value + 2,
  y: Math.max(...props.figures.outline.map(([, y]) => y)) * scale.value + 2,
}))
const path = (points: [number, number][]) =>
  `M${points.map(([x, y]) => `${(x * scale.value).toFixed(1)} ${(-y * scale.value).toFixed(1)}`).join('L')}`
const above = computed(() => `${path(props.figures.outline)}Z`)
/** The wall without a lid: the section is open at the rim. */
const wall = computed(() => {
  const points = props.figures.section
  const middle = points.length / 2
  return path([...points.slice(middle), ...points.slice(0, middle)])
})
const deep = computed(() =>
  props.figures.composes
    ? 0
    : Math.max(...props.figures.section.map(([, z]) => z)) * scale.value + GAP,
)
</script>

<template>
  <svg
    :width="2 * half.x"
    :height="2 * half.y + deep"
    :viewBox="`${-half.x} ${-half.y} ${2 * half.x} ${2 * half.y + deep}`"
    aria-hidden="true"
  >
    <path :d="above" />
    <path v-if="deep" class="wall" :d="wall" :transform="`translate(0 ${half.y + deep - 2})`" />
  </svg>
</template>

<style scoped>
path {
  fill: var(--leaf);
  stroke: var(--fern);
  stroke-width: 1.6;
}

.wall {
  fill: none;
}
</style>
