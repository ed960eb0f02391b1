<script setup lang="ts">
/** A mold from above, at a scale shared with its neighbors. */
import { computed } from 'vue'

const props = defineProps<{ outline: [number, number][]; reach: number }>()
const WIDEST = 240
const scale = computed(() => WIDEST / 2 / props.reach)
const size = computed(() => ({
  x: Math.max(...props.outline.map(([x]) => x)) * scale.value + 2,
  y: Math.max(...props.outline.map(([, y]) => y)) * scale.value + 2,
}))
const path = computed(
  () => `M${props.outline.map(([x, y]) => `${x * scale.value} ${-y * scale.value}`).join('L')}Z`,
)
</script>

<template>
  <svg
    :width="2 * size.x"
    :height="2 * size.y"
    :viewBox="`${-size.x} ${-size.y} ${2 * size.x} ${2 * size.y}`"
    aria-hidden="true"
  >
    <path :d="path" />
  </svg>
</template>

<style scoped>
path {
  fill: var(--leaf);
  stroke: var(--fern);
  stroke-width: 1.6;
}
</style>
