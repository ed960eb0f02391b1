<script setup lang="ts">
/** The dessert at one stage of its building: what stands by then, in its mold or out of it. */
import { computed } from 'vue'

import { drawnAs } from '../api/house'
import type { Cut, Stage } from '../api/types'
import { type Look, patternId } from '../kit/flavors'
import TexturePatterns from '../kit/TexturePatterns.vue'
import { loopsPath } from './drawing'

const props = defineProps<{
  cut: Cut
  stage: Stage
  lookOf: (formula: string) => Look
  /** With textures, for a large picture. */
  textured?: boolean
}>()

/** Millimetres are some three pixels here. */
const TEXTURE = 0.35

const shapes = computed(() => {
  if (props.stage.flat.length)
    return props.stage.flat.map((shape, place) => ({ ...shape, place, fresh: true }))
  return props.stage.shows.flatMap((place) => {
    const shape = props.cut.section[place]
    return shape ? [{ ...shape, place, fresh: props.stage.fresh.includes(place) }] : []
  })
})
const looks = computed(() => shapes.value.map((one) => props.lookOf(one.formula)))
/** What is made by itself stands in the middle of its own board. */
const aside = computed(() => {
  if (!props.stage.aside) return { x: 0, y: 0 }
  const points = shapes.value.flatMap((one) => one.loops.flat())
  const xs = points.map(([x]) => x)
  const ys = points.map(([, y]) => y)
  return { x: (Math.min(...xs) + Math.max(...xs)) / 2, y: Math.min(...ys) }
})
// Drawn in millimetres, the board at 0.
const frame = computed(() => ({
  scale: 1,
  x0: -aside.value.x,
  y0: aside.value.y || (props.stage.turned ? 0 : props.stage.lowered_mm),
  turn: props.stage.turned ? props.cut.level_mm : undefined,
}))
/** What lies flat may be wider than what it becomes. */
const half = computed(() => {
  const flat = props.stage.flat.flatMap((one) => one.loops.flat().map(([x]) => x))
  return Math.max(props.cut.width_mm / 2, ...flat) + 4
})
/** Pictures of one building are as tall as each other, however wide what they show. */
const tall = computed(() => ((props.cut.height_mm + 6) * half.value) / (props.cut.width_mm / 2 + 4))
const paint = (formula: string) => {
  const look = props.lookOf(formula)
  return props.textured ? `url(#${patternId(look, TEXTURE)})` : look.color
}
</script>

<template>
  <svg
    :viewBox="`${-half} ${3 - tall} ${2 * half} ${tall}`"
    :class="['picture', { small: !textured }]"
    aria-hidden="true"
  >
    <TexturePatterns v-if="textured" :looks="looks" :scale="TEXTURE" />
    <path
      v-for="shape in shapes"
      :key="shape.place"
      :d="loopsPath(shape.loops, frame)"
      :fill="paint(shape.formula)"
      :fill-rule="drawnAs(shape.drawn)?.overlaps ? 'nonzero' : 'evenodd'"
      :class="{ standing: !shape.fresh }"
    />
    <path v-if="stage.in_mold" class="mold" :d="loopsPath(cut.mold, frame)" />
    <path class="board" :d="`M${-half} 0H${half}`" />
  </svg>
</template>

<style scoped>
.picture {
  display: block;
  width: 100%;
}

.small {
  max-height: 78px;
}

.standing {
  fill-opacity: 0.62;
}

.mold {
  fill: none;
  stroke: var(--muted);
  stroke-width: 1.4;
  vector-effect: non-scaling-stroke;
}

.board {
  stroke: var(--ink);
  stroke-width: 1.4;
  vector-effect: non-scaling-stroke;
}
</style>
