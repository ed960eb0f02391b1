<script setup lang="ts">
/** One sheet as it is cut: its edge, the pieces by number, what stays whole. */
import { computed } from 'vue'

import type { CutPlan, CutSheet } from '../api/types'
import { loopsPath, marks } from '../desserts/drawing'
import { type Look, patternId } from '../kit/flavors'
import { figure } from '../kit/format'
import TexturePatterns from '../kit/TexturePatterns.vue'

const TEXTURE = 1.2
const RULER_MM = 100

const props = defineProps<{ plan: CutPlan; sheet: CutSheet; number: number; look: Look }>()
const raw = computed(() => props.plan.raw)
const frame = { scale: 1, x0: 0, y0: 0 }
const middle = (loop: [number, number][]) => {
  const xs = loop.map(([x]) => x)
  const ys = loop.map(([, y]) => y)
  const wide = Math.max(...xs) - Math.min(...xs)
  const high = Math.max(...ys) - Math.min(...ys)
  return {
    x: Math.min(...xs) + wide / 2,
    y: -(Math.min(...ys) + high / 2),
    size: Math.min(22, 0.45 * Math.min(wide, high)),
  }
}
const pieces = computed(() =>
  props.sheet.loops.map((loop, at) => ({
    path: loopsPath([loop as [number, number][]], frame),
    tag: middle(loop as [number, number][]),
    other: props.sheet.wanted[at],
  })),
)
const whole = computed(() => {
  const from = props.sheet.offcut_mm
  if (from === null) return undefined
  const long = raw.value.length_mm - from
  return {
    from,
    long,
    says: `${figure(long / 10, 1)} × ${figure(raw.value.width_mm / 10, 1)} cm stays whole`,
  }
})
const says = computed(() => {
  const alike =
    props.sheet.alike > 1 ? `${props.sheet.alike} sheets alike` : `sheet ${props.number}`
  return `${alike}: ${props.sheet.loops.length} pieces`
})
const size = computed(
  () => `${figure(raw.value.length_mm / 10, 1)} × ${figure(raw.value.width_mm / 10, 1)} cm`,
)
</script>

<template>
  <figure>
    <figcaption>
      <strong>{{ says }}</strong> <span class="quiet">{{ size }}</span>
    </figcaption>
    <svg
      :viewBox="`-30 ${-raw.width_mm - 6} ${raw.length_mm + 46} ${raw.width_mm + 26}`"
      role="img"
      :aria-label="`${says}, ${size}${whole ? ', ' + whole.says : ''}`"
    >
      <TexturePatterns :looks="[look]" :scale="TEXTURE" />
      <rect
        class="sheet"
        x="0"
        :y="-raw.width_mm"
        :width="raw.length_mm"
        :height="raw.width_mm"
        :fill="look.color"
      />
      <rect
        v-if="raw.edge_mm"
        class="edge"
        :x="raw.edge_mm"
        :y="raw.edge_mm - raw.width_mm"
        :width="raw.length_mm - 2 * raw.edge_mm"
        :height="raw.width_mm - 2 * raw.edge_mm"
      />
      <g v-if="whole">
        <rect
          class="whole"
          :x="whole.from"
          :y="-raw.width_mm"
          :width="whole.long"
          :height="raw.width_mm"
        />
        <text
          v-if="whole.long > 60"
          class="tag"
          :x="whole.from + whole.long / 2"
          :y="-raw.width_mm / 2"
          :font-size="Math.min(16, whole.long / 11)"
        >
          {{ whole.says }}
        </text>
      </g>
      <g v-for="(one, at) in pieces" :key="at">
        <path
          :d="one.path"
          :fill="`url(#${patternId(look, TEXTURE)})`"
          :class="['piece', { other: one.other }]"
        />
        <text class="tag" :x="one.tag.x" :y="one.tag.y" :font-size="one.tag.size">
          {{ at + 1 }}
        </text>
      </g>
      <g class="ruler">
        <template v-for="mm in marks(0, raw.length_mm, RULER_MM)" :key="`x${mm}`">
          <path :d="`M${mm} 2V7`" />
          <text :x="mm" y="16">{{ mm }}</text>
        </template>
        <template v-for="mm in marks(RULER_MM, raw.width_mm, RULER_MM)" :key="`y${mm}`">
          <path :d="`M-2 ${-mm}H-6`" />
          <text x="-8" :y="-mm + 3" class="end">{{ mm }}</text>
        </template>
      </g>
    </svg>
  </figure>
</template>

<style scoped>
figure {
  margin: 0;
}

figcaption {
  margin-bottom: 4px;
}

svg {
  display: block;
  max-height: 460px;
  width: 100%;
}

.sheet {
  fill-opacity: 0.28;
  stroke: var(--ink);
  stroke-width: 1.4;
}

.edge {
  fill: none;
  stroke: var(--muted);
  stroke-dasharray: 6 5;
  stroke-width: 1;
}

.whole {
  fill: var(--paper);
  fill-opacity: 0.78;
  stroke: var(--muted);
  stroke-width: 0.8;
}

.piece {
  stroke: var(--ink);
  stroke-width: 1.2;
}

.piece.other {
  stroke: var(--bronze-text);
  stroke-width: 2;
}

.tag {
  dominant-baseline: central;
  fill: var(--ink);
  font-weight: 600;
  paint-order: stroke;
  stroke: rgb(255 255 255 / 75%);
  stroke-width: 3;
  text-anchor: middle;
}

.ruler path {
  stroke: var(--muted);
  stroke-width: 1;
}

.ruler text {
  fill: var(--muted);
  font-size: 10px;
  text-anchor: middle;
}

.ruler .end {
  text-anchor: end;
}
</style>
