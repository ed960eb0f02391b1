<script setup lang="ts">
/** The same job with the other chocolates of the kitchen: how much liquid each takes, how sweet. */
import { computed } from 'vue'

import type { FormulaEntry, OtherChocolate } from '../../api/types'
import { figure } from '../../kit/format'
import { useFamilies, useOthers } from './useSetting'

const props = defineProps<{ id: string; entry: FormulaEntry }>()
const { jobOf } = useFamilies()
const { data } = useOthers(
  () => props.id,
  () => props.entry,
  () => Boolean(jobOf(props.entry.job)?.tools.includes('other chocolates')),
)
const WIDTH = 380
const HEIGHT = 210
const EDGE = { left: 14, right: 60, top: 16, bottom: 30 }
const points = computed(() => data.value ?? [])
const most = (of: (one: OtherChocolate) => number) => Math.max(1, ...points.value.map(of)) * 1.06
const wide = computed(() => most((one) => one.liquid.value))
const high = computed(() => most((one) => one.sweetness.value))
const x = (one: OtherChocolate) =>
  EDGE.left + (one.liquid.value / wide.value) * (WIDTH - EDGE.left - EDGE.right)
const y = (one: OtherChocolate) =>
  HEIGHT - EDGE.bottom - (one.sweetness.value / high.value) * (HEIGHT - EDGE.top - EDGE.bottom)
/** One of each kind carries its name, and the one that is in it now. */
const named = computed(() => {
  const kinds = new Set<string>()
  return points.value.filter((one) => {
    const first = !kinds.has(one.kind) && !one.now
    if (first) kinds.add(one.kind)
    return first || one.now
  })
})
/** Labels stand beside their points and give way downwards to one another. */
const LINE = 13
const labels = computed(() => {
  const placed: { one: OtherChocolate; x: number; y: number }[] = []
  for (const one of [...named.value].sort((a, b) => y(a) - y(b))) {
    const at = { one, x: x(one) + 10, y: y(one) + 4 }
    for (const other of placed) {
      if (Math.abs(at.y - other.y) < LINE && Math.abs(at.x - other.x) < 130) at.y = other.y + LINE
    }
    placed.push(at)
  }
  return placed
})
const short = (one: OtherChocolate) => one.name.replace(/^Couverture, |^Compound /, '')
</script>

<template>
  <section v-if="points.length > 1" aria-label="The same job, other chocolate">
    <h3>The same job, other chocolate</h3>
    <svg
      :viewBox="`0 0 ${WIDTH} ${HEIGHT}`"
      role="img"
      aria-label="Sweetness over the liquid each takes"
    >
      <path
        :d="`M ${EDGE.left} ${EDGE.top - 6} V ${HEIGHT - EDGE.bottom} H ${WIDTH - 6}`"
        class="axes"
      />
      <text :x="EDGE.left + 5" :y="EDGE.top">sweeter</text>
      <text :x="WIDTH - 6" :y="HEIGHT - 16" text-anchor="end">
        liquid for 100 g of it, up to {{ figure(wide / 1.06, 0) }} g
      </text>
      <g v-for="one in points" :key="one.ingredient">
        <title>
          {{ one.name }}: {{ figure(one.liquid.value, 0) }} g liquid for 100 g, sweetness
          {{ figure(one.sweetness.value, 0) }}
        </title>
        <circle
          :cx="x(one)"
          :cy="y(one)"
          :r="one.now ? 7 : 4.5"
          :class="[one.kind, { now: one.now }]"
        />
      </g>
      <text
        v-for="{ one, ...at } in labels"
        :key="one.ingredient"
        v-bind="at"
        :class="['name', { now: one.now }]"
      >
        {{ short(one) }}{{ one.now ? ', now' : '' }}
      </text>
    </svg>
  </section>
</template>

<style scoped>
svg {
  display: block;
  max-width: 440px;
  width: 100%;
}

text {
  fill: var(--muted);
  font-size: 11.5px;
}

.name {
  fill: var(--ink);
}

.name.now {
  font-weight: 700;
}

.axes {
  fill: none;
  stroke: var(--leaf-strong);
}

circle {
  stroke: var(--paper);
  stroke-width: 1;
}

.dark {
  fill: var(--dark-chocolate);
}

.milk {
  fill: var(--milk-chocolate);
}

.white {
  fill: var(--white-chocolate);
  stroke: var(--muted);
}

.compound {
  fill: var(--leaf-strong);
}

circle.now {
  stroke: var(--bronze);
  stroke-width: 3;
}
</style>
