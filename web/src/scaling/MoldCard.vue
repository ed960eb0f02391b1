<script setup lang="ts">
/** The dessert in one mold: its cut at the wall's scale, standing on a board. */
import { computed } from 'vue'

import { drawnAs } from '../api/house'
import type { MoldResized } from '../api/types'
import { loopsPath } from '../desserts/drawing'
import { figure } from '../kit/format'
import type { Look } from '../kit/flavors'

const props = defineProps<{
  there: MoldResized
  look: (formula: string) => Look
  taken: boolean
  /** Pixels a millimeter on this wall. */
  scale: number
}>()
const emit = defineEmits<{ choose: [] }>()
const frame = { scale: 1, x0: 0, y0: 0 }
const box = computed(() => {
  const cut = props.there.cut
  return { wide: (cut?.width_mm ?? 60) + 4, high: (cut?.height_mm ?? 30) + 4 }
})
const said = computed(() => {
  const { portions, portion_g, count } = props.there
  const each = portion_g === null ? '' : ` of ${figure(portion_g, 0)} g`
  return portions === 1 ? `${count}${each}` : `${count} × ${portions}${each}`
})
</script>

<template>
  <button
    type="button"
    :class="['card', { taken, own: there.own, short: there.short.length, not: there.refused }]"
    :aria-pressed="taken"
    @click="emit('choose')"
  >
    <svg
      v-if="there.cut"
      :viewBox="`${-box.wide / 2} ${3 - box.high} ${box.wide} ${box.high}`"
      :width="box.wide * scale"
      :height="box.high * scale"
      aria-hidden="true"
    >
      <path
        v-for="(shape, i) in there.cut.shapes"
        :key="i"
        :d="loopsPath(shape.loops, frame)"
        :fill="look(shape.formula).color"
        :fill-rule="drawnAs(shape.drawn)?.overlaps ? 'nonzero' : 'evenodd'"
        class="shape"
      />
      <path class="mold" :d="loopsPath(there.cut.mold, frame)" />
      <path class="board" :d="`M${-box.wide / 2} 0H${box.wide / 2}`" />
    </svg>
    <span class="name">{{ there.name }}</span>
    <span v-if="there.refused" class="wrong">does not go in</span>
    <span v-else class="says">
      <strong v-if="there.own">as drawn</strong>
      <strong v-else-if="there.factor !== null">× {{ figure(there.factor, 2) }}</strong>
      {{ said }}
    </span>
    <span v-if="there.fills" class="fills">enough for {{ there.fills.value }}</span>
    <span v-if="there.short.length" class="flag">{{ there.short.length }} to look at</span>
  </button>
</template>

<style scoped>
.card {
  background: none;
  border: 1px solid transparent;
  border-radius: var(--round);
  cursor: pointer;
  display: grid;
  font-size: 13px;
  gap: 1px;
  justify-items: center;
  line-height: 1.25;
  min-width: 104px;
  padding: 8px 6px 6px;
}

.card:hover {
  background: var(--porcelain-shade);
}

.card.taken {
  background: var(--bronze-wash);
  border-color: var(--bronze);
}

.card svg {
  margin-bottom: 4px;
}

.shape {
  stroke: rgb(34 48 42 / 35%);
  stroke-width: 0.4;
}

.mold {
  fill: none;
  stroke: var(--muted);
  stroke-width: 0.9;
}

.board {
  stroke: var(--ink);
  stroke-width: 1.2;
}

.own .name {
  color: var(--bronze-text);
}

.name {
  font-weight: 600;
  max-width: 180px;
}

.says {
  color: var(--muted);
}

.says strong {
  color: var(--ink);
  margin-right: 4px;
}

.fills {
  background: var(--leaf);
  border-radius: 4px;
  padding: 0 6px;
}

.flag {
  color: var(--brick);
}
</style>
