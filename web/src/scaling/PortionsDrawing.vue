<script setup lang="ts">
/** The dessert from above, every portion with its grams; the lightest pale, the heaviest full. */
import { computed } from 'vue'

import type { Shared } from '../api/types'
import { loopsPath } from '../desserts/drawing'
import { figure } from '../kit/format'

type Loop = [number, number][]
const props = defineProps<{ shared: Shared }>()
const frame = { scale: 1, x0: 0, y0: 0 }
/** What is longer than wide lies along the paper. */
const turned = (loop: Loop, along: boolean): Loop => (along ? loop.map(([x, y]) => [y, -x]) : loop)

/** Where a shape would balance: inside any wedge, slice or square. */
function centroid(loop: Loop): [number, number] {
  let [area, x, y] = [0, 0, 0]
  loop.forEach(([x0, y0], i) => {
    const [x1, y1] = loop[(i + 1) % loop.length] ?? [x0, y0]
    const cross = x0 * y1 - x1 * y0
    area += cross
    x += (x0 + x1) * cross
    y += (y0 + y1) * cross
  })
  return area ? [x / (3 * area), y / (3 * area)] : (loop[0] ?? [0, 0])
}

const box = computed(() => {
  const points = props.shared.portions.flatMap((one) => one.loop as Loop)
  const wide = Math.max(...points.map(([x]) => Math.abs(x)))
  const high = Math.max(...points.map(([, y]) => Math.abs(y)))
  const along = high > wide
  return { along, wide: along ? high : wide, high: along ? wide : high }
})
const grams = computed(() => props.shared.portions.map((one) => one.mass_g))
const least = computed(() => Math.min(...grams.value))
const most = computed(() => Math.max(...grams.value))
/** A gram between them is seen; less is the same. */
const depth = (mass: number) =>
  most.value - least.value < 1
    ? 0.5
    : 0.25 + (0.6 * (mass - least.value)) / (most.value - least.value)

const pieces = computed(() =>
  props.shared.portions.map((one) => {
    const loop = turned(one.loop as Loop, box.value.along)
    const xs = loop.map(([x]) => x)
    const ys = loop.map(([, y]) => y)
    const [x, y] = centroid(loop)
    const side = Math.min(Math.max(...xs) - Math.min(...xs), Math.max(...ys) - Math.min(...ys))
    return { path: loopsPath([loop], frame), x, y: -y, side, mass: one.mass_g }
  }),
)
const letters = computed(() =>
  Math.min(box.value.wide / 14, ...pieces.value.map((one) => Math.max(3, one.side / 3.2))),
)
const says = computed(
  () => `${grams.value.length} portions of ${figure(least.value, 0)} to ${figure(most.value, 0)} g`,
)
</script>

<template>
  <svg
    :viewBox="`${-box.wide - 4} ${-box.high - 4} ${2 * box.wide + 8} ${2 * box.high + 8}`"
    role="img"
    :aria-label="says"
  >
    <g v-for="(one, at) in pieces" :key="at">
      <path :d="one.path" class="piece" :style="{ fillOpacity: depth(one.mass) }" />
      <text :x="one.x" :y="one.y" :font-size="letters">{{ figure(one.mass, 0) }}</text>
    </g>
  </svg>
</template>

<style scoped>
svg {
  display: block;
  max-height: 560px;
  width: 100%;
}

.piece {
  fill: var(--bronze);
  stroke: var(--ink);
  stroke-width: 0.8;
  vector-effect: non-scaling-stroke;
}

text {
  dominant-baseline: central;
  fill: var(--ink);
  font-weight: 600;
  text-anchor: middle;
}
</style>
