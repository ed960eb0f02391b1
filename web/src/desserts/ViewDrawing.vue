<script setup lang="ts">
/** One further drawing that a dessert's maker needs: from the side, flat, a template. */
import { computed, ref } from 'vue'

import type { DessertView, Outline } from '../api/types'
import { figure } from '../kit/format'
import { type Look, patternId } from '../kit/flavors'
import TexturePatterns from '../kit/TexturePatterns.vue'
import { useSize } from '../kit/useSize'
import { type Chosen, sameChoice } from './parts'
import { fit, heightFor, loopsPath, toX, toY } from './drawing'

const props = defineProps<{
  view: DessertView
  chosen: Chosen | null
  lookOf: (formula: string) => Look
  tallest: number
}>()
const emit = defineEmits<{ choose: [chosen: Chosen] }>()

const box = ref<HTMLElement | null>(null)
const size = useSize(box)
const MARGINS = { left: 4, right: 44, top: 4, bottom: 24 }

const points = computed(() => props.view.shapes.flatMap((one) => one.loops.flat()))
const low = computed(() => Math.min(...points.value.map(([, y]) => y)))
const mm = computed(() => ({
  width: 2 * Math.max(...points.value.map(([x]) => Math.abs(x))),
  height: Math.max(...points.value.map(([, y]) => y)) - low.value,
}))
const height = computed(() => heightFor(mm.value, size.width, MARGINS, props.tallest))
const frame = computed(() => {
  const fitted = fit(mm.value, { width: size.width, height: height.value }, MARGINS)
  return { ...fitted, y0: fitted.y0 + low.value * fitted.scale }
})
const foot = computed(() => height.value - MARGINS.bottom + 6)
const side = computed(() => toX(frame.value, mm.value.width / 2) + 7)
const at = (point: [number, number]) =>
  `${toX(frame.value, point[0])} ${toY(frame.value, point[1])}`
/** Paper is paper, whatever it lines. */
const paint = (shape: Outline) =>
  shape.drawn === 'paper' ? 'var(--paper)' : `url(#${patternId(props.lookOf(shape.formula))})`
const isChosen = (one: Chosen) => sameChoice(props.chosen, one)
</script>

<template>
  <figure ref="box">
    <figcaption class="quiet">{{ view.title }}</figcaption>
    <svg v-if="size.width" :width="size.width" :height="height" role="img" :aria-label="view.title">
      <TexturePatterns :looks="view.shapes.map((one) => lookOf(one.formula))" />
      <path
        v-for="(shape, i) in view.shapes"
        :key="i"
        :d="loopsPath(shape.loops, frame)"
        :fill="paint(shape)"
        fill-rule="evenodd"
        :class="['shape', shape.drawn, { held: isChosen(shape) }]"
        @click="emit('choose', { part: shape.part, layer: shape.layer })"
      />
      <path v-if="view.portion.length" :d="loopsPath([view.portion], frame)" class="portion" />
      <path
        v-for="([a, b], i) in view.cuts"
        :key="i"
        :class="['knife', { snip: view.shapes[0]?.drawn === 'paper' }]"
        :d="`M${at(a)}L${at(b)}`"
      />
      <g v-for="(one, i) in view.dimensions" :key="`${one.what}${i}`" class="dimension">
        <template v-if="one.what === 'length'">
          <path
            :d="`M${toX(frame, one.start[0])} ${foot - 3}v6m0-3H${toX(frame, one.end[0])}m0-3v6`"
          />
          <text
            :x="(toX(frame, one.start[0]) + toX(frame, one.end[0])) / 2"
            :y="foot + 15"
            text-anchor="middle"
          >
            {{ figure(one.value_mm, 1) }}
          </text>
        </template>
        <template v-else>
          <path
            :d="`M${side - 3} ${toY(frame, one.start[1])}h6m-3 0V${toY(frame, one.end[1])}m-3 0h6`"
          />
          <text :x="side + 6" :y="(toY(frame, one.start[1]) + toY(frame, one.end[1])) / 2 + 4">
            {{ figure(one.value_mm, 1) }}
          </text>
        </template>
      </g>
    </svg>
  </figure>
</template>

<style scoped>
figure {
  display: grid;
  gap: 2px;
  margin: 0;
}

figcaption {
  font-size: 13px;
  font-weight: 600;
}

svg {
  display: block;
}

.shape {
  cursor: pointer;
  stroke: var(--ink);
  stroke-opacity: 0.35;
  stroke-width: 0.8;
}

.shape.trim {
  opacity: 0.45;
  stroke-dasharray: 3 2;
}

.shape.hidden {
  fill: none;
  stroke-dasharray: 4 3;
}

.shape.held {
  stroke: var(--bronze);
  stroke-opacity: 1;
  stroke-width: 2.2;
}

.portion {
  fill: var(--bronze);
  fill-opacity: 0.75;
  pointer-events: none;
}

.knife {
  pointer-events: none;
  stroke: var(--porcelain);
  stroke-width: 1.2;
}

.knife.snip {
  stroke: var(--ink);
}

.dimension path {
  fill: none;
  stroke: var(--muted);
}

.dimension text {
  fill: var(--muted);
  font-size: 12.5px;
  font-weight: 600;
}
</style>
