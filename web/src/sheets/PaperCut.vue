<script setup lang="ts">
/** The cut on paper, to a round scale, with its rulers and dimensions. */
import { computed } from 'vue'

import { drawnAs } from '../api/house'
import type { Cut } from '../api/types'
import CutDimensions from '../desserts/CutDimensions.vue'
import CutRulers from '../desserts/CutRulers.vue'
import { loopsPath, toX } from '../desserts/drawing'
import { type Look, patternId } from '../kit/flavors'
import TexturePatterns from '../kit/TexturePatterns.vue'
import { MARGINS, PX_PER_MM } from './scale'

const props = defineProps<{
  cut: Cut
  /** Millimetres of the dessert to one of paper. */
  smaller: number
  lookOf: (formula: string) => Look
}>()
const px = computed(() => PX_PER_MM / props.smaller)
const wide = computed(() => props.cut.width_mm * px.value + MARGINS.left + MARGINS.right)
const high = computed(() => props.cut.height_mm * px.value + MARGINS.top + MARGINS.bottom)
const frame = computed(() => ({
  scale: px.value,
  x0: MARGINS.left + (props.cut.width_mm * px.value) / 2,
  y0: high.value - MARGINS.bottom,
}))
const looks = computed(() => props.cut.section.map((one) => props.lookOf(one.formula)))
</script>

<template>
  <svg :viewBox="`0 0 ${wide} ${high}`" :width="wide" :height="high" aria-hidden="true">
    <TexturePatterns :looks="looks" />
    <path class="mold" :d="loopsPath(cut.mold, frame)" />
    <path
      v-for="(shape, i) in cut.section"
      :key="i"
      :d="loopsPath(shape.loops, frame)"
      :fill="`url(#${patternId(lookOf(shape.formula))})`"
      :fill-rule="drawnAs(shape.drawn)?.overlaps ? 'nonzero' : 'evenodd'"
      class="part"
    />
    <path
      class="board"
      :d="`M${toX(frame, -cut.width_mm / 2) - 14} ${frame.y0}H${toX(frame, cut.width_mm / 2) + 14}`"
    />
    <CutRulers :cut="cut" :frame="frame" />
    <CutDimensions :cut="cut" :frame="frame" :chosen="null" />
  </svg>
</template>

<style scoped>
svg {
  display: block;
  max-width: 100%;
}

.part {
  stroke: var(--ink);
  stroke-opacity: 0.4;
  stroke-width: 0.8;
}

.mold {
  fill: none;
  stroke: var(--muted);
  stroke-width: 1.2;
}

.board {
  stroke: var(--ink);
  stroke-width: 2;
}
</style>
