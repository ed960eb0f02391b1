<script setup lang="ts">
/** The cut to scale, with rulers and dimension lines; parts are selected on it. */
import { computed, ref, useId } from 'vue'

import { drawnAs } from '../api/house'
import type { Cut, HandleWords, Outline } from '../api/types'
import { type Look, patternId } from '../kit/flavors'
import TexturePatterns from '../kit/TexturePatterns.vue'
import { useSize } from '../kit/useSize'
import CutBody from './CutBody.vue'
import CutDimensions from './CutDimensions.vue'
import CutHandles from './CutHandles.vue'
import CutRulers from './CutRulers.vue'
import type { Drag } from './dragging'
import { fit, heightFor, loopsPath, marks, scaleWords, toX } from './drawing'
import { type Chosen, sameChoice } from './parts'

const props = defineProps<{
  cut: Cut
  chosen: Chosen | null
  lookOf: (formula: string) => Look
  nameOf: (chosen: Chosen) => string
  handles: HandleWords[]
  /** Which parts are moved by their body, and whether the selected one is reordered by its grip. */
  movable: (part: string) => boolean
  reorderable: boolean
  /** As it stands in its mold, built upside down. */
  turned: boolean
  /** The cut read aloud. */
  words: string[]
}>()
const emit = defineEmits<{
  choose: [chosen: Chosen]
  drag: [drag: Drag, done: boolean]
  reorder: [atMm: number, done: boolean]
}>()

const box = ref<HTMLElement | null>(null)
const size = useSize(box)
const MARGINS = { left: 46, right: 64, top: 14, bottom: 34 }
const TALLEST = 240
const wordsId = useId()
const mm = computed(() => ({ width: props.cut.width_mm, height: props.cut.height_mm }))
const height = computed(() => heightFor(mm.value, size.width, MARGINS, TALLEST))
const frame = computed(() => {
  const turn = props.turned ? props.cut.level_mm : undefined
  return fit(mm.value, { width: size.width, height: height.value }, MARGINS, turn)
})
/** Places on the paper, which does not turn with the dessert. */
const up = (mm: number) => frame.value.y0 - mm * frame.value.scale
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
const grid = computed(() => ({
  x: marks(-props.cut.width_mm / 2 - 8, props.cut.width_mm / 2 + 8, 10),
  y: marks(0, props.cut.height_mm + 6, 10),
}))

const choiceOf = (shape: Outline): Chosen => ({ part: shape.part, layer: shape.layer })
const isChosen = (shape: Outline) => sameChoice(props.chosen, choiceOf(shape))
/** Turned over it stands in its mold: what comes after unmolding is not there yet. */
const drawn = computed(() =>
  props.turned ? props.cut.section.filter((one) => drawnAs(one.drawn)?.in_mold) : props.cut.section,
)
/** The last shape of the selected part: of a fill its main pour. */
const held = computed(() => drawn.value.filter(isChosen).at(-1))
/** Keys that stay with a shape whatever is selected, so that focus stays too. */
const keyed = computed(() => {
  return drawn.value.map((shape) => ({
    shape,
    key: `${shape.part}/${shape.layer}/${shape.number}`,
  }))
})
</script>

<template>
  <div ref="box" class="cut">
    <ol :id="wordsId" class="unseen">
      <li v-for="sentence in words" :key="sentence">{{ sentence }}</li>
    </ol>
    <svg
      v-if="size.width"
      :width="size.width"
      :height="height"
      role="group"
      aria-label="The cut"
      :aria-describedby="wordsId"
    >
      <TexturePatterns :looks="looks" />
      <g class="paper" aria-hidden="true">
        <path
          v-for="x in grid.x"
          :key="`x${x}`"
          :d="`M${toX(frame, x)} ${frame.y0}V${up(cut.height_mm + 6)}`"
        />
        <path
          v-for="y in grid.y"
          :key="`y${y}`"
          :d="`M${toX(frame, -cut.width_mm / 2 - 8)} ${up(y)}H${toX(frame, cut.width_mm / 2 + 8)}`"
        />
      </g>
      <path class="mold" aria-hidden="true" :d="loopsPath(cut.mold, frame)" />
      <CutBody
        v-for="{ shape, key } in keyed"
        :key="key"
        :shape="shape"
        :frame="frame"
        :fill="`url(#${patternId(lookOf(shape.formula))})`"
        :name="nameOf(choiceOf(shape))"
        :chosen="isChosen(shape)"
        :movable="movable(shape.part)"
        :reorderable="reorderable && isChosen(shape)"
        @choose="emit('choose', choiceOf(shape))"
        @drag="(drag, done) => emit('drag', drag, done)"
        @reorder="(at, done) => emit('reorder', at, done)"
      />
      <path v-if="held" class="held" aria-hidden="true" :d="loopsPath(held.loops, frame)" />
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
  fill: none;
  stroke: var(--muted);
  stroke-width: 1.2;
}

.held {
  fill: none;
  pointer-events: none;
  stroke: var(--bronze);
  stroke-width: 2.6;
}

.board {
  stroke: var(--ink);
  stroke-width: 2;
}
</style>
