<script setup lang="ts">
/** The dessert from above: portions, garnish, and the edges hidden inside. */
import { computed } from 'vue'

import type { Cut } from '../api/types'
import { type Look, patternId } from '../kit/flavors'
import TexturePatterns from '../kit/TexturePatterns.vue'
import { loopsPath } from './drawing'

const props = defineProps<{ cut: Cut; lookOf: (formula: string) => Look }>()

const top = computed(() => props.cut.top)
const reach = computed(() => {
  const around = [top.value, ...top.value.garnish, ...top.value.hidden]
  const points = [
    ...top.value.edge,
    ...around.flatMap((one) => ('loops' in one ? one.loops.flat() : [])),
  ]
  const xs = points.map(([x]) => Math.abs(x))
  const ys = points.map(([, y]) => Math.abs(y))
  return { x: Math.max(...xs) + 2, y: Math.max(...ys) + 2 }
})
// Drawn in millimetres; y points away from the cook, so it is turned.
const frame = { scale: 1, x0: 0, y0: 0 }
const skin = computed(() => props.lookOf(top.value.skin))
const looks = computed(() => [
  skin.value,
  ...top.value.garnish.map((one) => props.lookOf(one.formula)),
])
const thin = computed(() => Math.max(reach.value.x, reach.value.y) / 100)
</script>

<template>
  <svg
    :viewBox="`${-reach.x} ${-reach.y} ${2 * reach.x} ${2 * reach.y}`"
    class="top"
    role="img"
    :aria-label="`From above: ${top.cuts.length ? top.cuts.length + ' cuts' : 'one portion'}`"
  >
    <TexturePatterns :looks="looks" />
    <path :d="loopsPath([top.edge, ...top.holes], frame)" :fill="skin.color" fill-rule="evenodd" />
    <path v-if="top.portion.length" :d="loopsPath([top.portion], frame)" class="portion" />
    <path
      v-for="one in top.hidden"
      :key="`${one.part}/${one.layer}`"
      :d="loopsPath(one.loops, frame)"
      class="hidden-edge"
      :stroke-width="thin"
      :stroke-dasharray="`${3 * thin} ${2 * thin}`"
    />
    <path
      v-for="([a, b], i) in top.cuts"
      :key="i"
      class="knife"
      :stroke-width="1.1 * thin"
      :d="`M${a[0]} ${-a[1]}L${b[0]} ${-b[1]}`"
    />
    <path
      v-for="one in top.garnish"
      :key="one.part"
      :d="loopsPath(one.loops, frame)"
      :fill="`url(#${patternId(lookOf(one.formula))})`"
      class="garnish"
      :stroke-width="0.6 * thin"
    />
  </svg>
</template>

<style scoped>
.top {
  display: block;
  max-height: 195px;
  width: 100%;
}

.portion {
  fill: var(--bronze);
  fill-opacity: 0.75;
}

.hidden-edge {
  fill: none;
  stroke: var(--paper);
  stroke-opacity: 0.55;
}

.knife {
  stroke: var(--porcelain);
}

.garnish {
  stroke: var(--ink);
  stroke-opacity: 0.5;
}
</style>
