<script setup lang="ts">
/** A mold from above, and cut through its middle where its walls are not upright. */
import { computed } from 'vue'

import type { MoldSketch } from '../api/types'
import { loopsPath } from '../desserts/drawing'
import { reachOf } from './reach'

const props = defineProps<{ figures: MoldSketch; reach: number }>()
const WIDEST = 240
const GAP = 10
const scale = computed(() => WIDEST / 2 / props.reach)
const half = computed(() => ({
  x: reachOf(props.figures) * scale.value + 2,
  y: Math.max(...props.figures.above.flat().map(([, y]) => y)) * scale.value + 2,
}))
const drawn = computed(() =>
  [props.figures.above, props.figures.section].map((loops) =>
    loopsPath(loops, { scale: scale.value, x0: 0, y0: 0 }),
  ),
)
const deep = computed(() =>
  props.figures.upright
    ? 0
    : Math.max(...props.figures.section.flat().map(([, z]) => z)) * scale.value + GAP,
)
</script>

<template>
  <svg
    :width="2 * half.x"
    :height="2 * half.y + deep"
    :viewBox="`${-half.x} ${-half.y} ${2 * half.x} ${2 * half.y + deep}`"
    aria-hidden="true"
  >
    <path :d="drawn[0]" fill-rule="evenodd" />
    <path v-if="deep" class="wall" :d="drawn[1]" :transform="`translate(0 ${half.y + deep - 2})`" />
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
