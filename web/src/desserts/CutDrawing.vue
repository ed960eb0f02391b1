<script setup lang="ts">
/** The cut to scale, with rulers and dimension lines; parts are selected on it. */
import { computed, ref } from 'vue'

import type { Cut, Outline } from '../api/types'
import { type Look, patternId } from '../kit/flavors'
import TexturePatterns from '../kit/TexturePatterns.vue'
import { useSize } from '../kit/useSize'
import CutDimensions from './CutDimensions.vue'
import CutHandles from './CutHandles.vue'
import CutRulers from './CutRulers.vue'
import type { Drag, Handle } from './dragging'
import { fit, heightFor, loopsPath, marks, scaleWords, toX, toY } from './drawing'
import { type Chosen, sameChoice } from './parts'

const props = defineProps<{
  cut: Cut
  chosen: Chosen | null
  lookOf: (formula: string) => Look
  nameOf: (chosen: Chosen) => string
  handles: Handle[]
}>()
const emit = defineEmits<{ choose: [chosen: Chosen]; drag: [drag: Drag, done: boolean] }>()

const box = ref<HTMLElement | null>(null)
const size = useSize(box)
const MARGINS = { left: 46, right: 64, top: 14, bottom: 34 }
const TALLEST = 340
const mm = computed(() => ({ width: props.cut.width_mm, height: props.cut.height_mm }))
const height = computed(() => heightFor(mm.value, size.width, MARGINS, TALLEST))
const frame = computed(() => fit(mm.value, { width: size.width, height: height.value }, MARGINS))
const scale = computed(() => scaleWords(frame.value.scale))
defineExpose({ scale })

const looks = computed(() => {
  const byId = new Map<string, Look>()
  for (const shape of props.cut.section) {
    const look = props.lookOf(shape.formula)
    byId.set(patternId(look), look)
  }
  return [...byId.values()]
})
const half = computed(() => props.cut.mold_width_mm / 2)
const grid = computed(() => ({
  x: marks(-props.cut.width_mm / 2 - 8, props.cut.width_mm / 2 + 8, 10),
  y: marks(0, props.cut.height_mm + 6, 10),
}))

const choiceOf = (shape: Outline): Chosen => ({ part: shape.part, layer: shape.layer })
const isChosen = (shape: Outline) => sameChoice(props.chosen, choiceOf(shape))
/** The last shape of the selected part: of a fill its main pour. */
const held = computed(() => props.cut.section.filter(isChosen).at(-1))
const order = computed(() => [
  ...props.cut.section.filter((shape) => !isChosen(shape)),
  ...props.cut.section.filter(isChosen),
])
</script>

<template>
  <div ref="box" class="cut">
    <svg v-if="size.width" :width="size.width" :height="height" role="group" aria-label="The cut">
      <TexturePatterns :looks="looks" />
      <g class="paper" aria-hidden="true">
        <path
          v-for="x in grid.x"
          :key="`x${x}`"
          :d="`M${toX(frame, x)} ${frame.y0}V${toY(frame, cut.height_mm + 6)}`"
        />
        <path
          v-for="y in grid.y"
          :key="`y${y}`"
          :d="`M${toX(frame, -cut.width_mm / 2 - 8)} ${toY(frame, y)}H${toX(frame, cut.width_mm / 2 + 8)}`"
        />
      </g>
      <path
        class="mold"
        aria-hidden="true"
        :d="`M${toX(frame, -half)} ${frame.y0}V${toY(frame, cut.rim_mm)}M${toX(frame, half)} ${frame.y0}V${toY(frame, cut.rim_mm)}`"
      />
      <path
        v-for="(shape, i) in order"
        :key="`${shape.part}/${shape.layer}/${i}`"
        :d="loopsPath(shape.loops, frame)"
        :fill="`url(#${patternId(lookOf(shape.formula))})`"
        :fill-rule="shape.rule === 'garnish' ? 'nonzero' : 'evenodd'"
        :class="['part', { chosen: isChosen(shape) }]"
        role="button"
        tabindex="0"
        :aria-label="nameOf(choiceOf(shape))"
        :aria-pressed="isChosen(shape)"
        @click="emit('choose', choiceOf(shape))"
        @keydown.enter.prevent="emit('choose', choiceOf(shape))"
        @keydown.space.prevent="emit('choose', choiceOf(shape))"
      />
      <CutHandles
        v-if="held && handles.length"
        :shape="held"
        :handles="handles"
        :frame="frame"
        :name="nameOf(choiceOf(held))"
        @drag="(drag, done) => emit('drag', drag, done)"
      />
      <path
        class="board"
        aria-hidden="true"
        :d="`M${toX(frame, -cut.width_mm / 2) - 14} ${frame.y0}H${toX(frame, cut.width_mm / 2) + 14}`"
      />
      <CutRulers :cut="cut" :frame="frame" />
      <CutDimensions :cut="cut" :frame="frame" :chosen="chosen" />
    </svg>
  </div>
</template>

<style scoped>
svg {
  display: block;
}

.paper path {
  stroke: var(--leaf);
  stroke-width: 0.7;
}

.mold {
  stroke: var(--muted);
  stroke-width: 1.2;
}

.part {
  cursor: pointer;
  stroke: var(--ink);
  stroke-opacity: 0.28;
  stroke-width: 0.8;
}

.part:hover {
  stroke-opacity: 0.8;
}

.part.chosen {
  stroke: var(--bronze);
  stroke-opacity: 1;
  stroke-width: 2.6;
}

.part:focus-visible {
  outline: none;
  stroke: var(--bronze);
  stroke-dasharray: 5 3;
  stroke-opacity: 1;
  stroke-width: 2.6;
}

.board {
  stroke: var(--ink);
  stroke-width: 2;
}
</style>
