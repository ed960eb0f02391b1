<script setup lang="ts">
/** Kinds of dessert, each by a small cut the product draws itself. */
import { computed } from 'vue'

import { drawnAs } from '../api/house'
import type { DessertKind } from '../api/types'
import { lookOf, patternId } from '../kit/flavors'
import TexturePatterns from '../kit/TexturePatterns.vue'
import { loopsPath } from './drawing'

const props = defineProps<{ value: string; kinds: DessertKind[] }>()
const emit = defineEmits<{ change: [kind: string] }>()

/** A color for what a kind of formula usually is. */
const COLORS: Record<string, string> = {
  crumble: 'rye',
  paste: 'brown-butter',
  sponge: 'malt',
  mousse: 'cream',
  cream: 'white-chocolate',
  ganache: 'dark-chocolate',
  custard: 'citrus',
  chocolate: 'milk-chocolate',
  fruit: 'berry',
  glaze: 'amber',
  caramel: 'honey',
  crisp: 'barley',
}
const TEXTURE = 0.5
const frame = { scale: 1, x0: 0, y0: 0 }
const lookFor = (kind: string) => lookOf({ flavor: COLORS[kind] ?? '', kind })
const looks = computed(() => Object.keys(COLORS).map(lookFor))

const offered = computed(() =>
  props.kinds.map((one) => {
    const points = one.picture.flatMap((shape) => shape.loops.flat())
    const half = Math.max(...points.map(([x]) => Math.abs(x))) + 2
    const high = Math.max(...points.map(([, y]) => y)) + 2
    return { ...one, box: `${-half} ${-high} ${2 * half} ${high + 2}` }
  }),
)
</script>

<template>
  <div class="kinds" role="radiogroup" aria-label="Kind of dessert">
    <svg width="0" height="0" aria-hidden="true" class="patterns">
      <TexturePatterns :looks="looks" :scale="TEXTURE" />
    </svg>
    <button
      v-for="one in offered"
      :key="one.kind"
      type="button"
      role="radio"
      :aria-checked="one.kind === props.value"
      :class="['kind', { taken: one.kind === props.value }]"
      :title="one.text"
      @click="emit('change', one.kind)"
    >
      <svg :viewBox="one.box" aria-hidden="true">
        <path
          v-for="shape in one.picture"
          :key="`${shape.part}/${shape.layer}/${shape.number}`"
          :d="loopsPath(shape.loops, frame)"
          :fill="`url(#${patternId(lookFor(shape.formula), TEXTURE)})`"
          :fill-rule="drawnAs(shape.drawn)?.overlaps ? 'nonzero' : 'evenodd'"
        />
      </svg>
      <span>{{ one.title }}</span>
    </button>
  </div>
</template>

<style scoped>
.kinds {
  display: grid;
  gap: 8px;
  grid-template-columns: repeat(4, minmax(0, 1fr));
}

.patterns {
  position: absolute;
}

.kind {
  align-content: end;
  background: var(--paper);
  border: 1px solid var(--rule);
  border-radius: 10px;
  color: var(--ink);
  cursor: pointer;
  display: grid;
  font-size: 13.5px;
  gap: 6px;
  height: 108px;
  justify-items: center;
  padding: 8px 6px;
}

.kind svg {
  height: 58px;
  width: 100%;
}

.kind path {
  stroke: var(--ink);
  stroke-opacity: 0.35;
  stroke-width: 0.8;
  vector-effect: non-scaling-stroke;
}

.kind.taken {
  background: var(--bronze-wash);
  border-color: var(--bronze);
}

@media (max-width: 600px) {
  .kinds {
    grid-template-columns: repeat(3, minmax(0, 1fr));
  }
}
</style>
