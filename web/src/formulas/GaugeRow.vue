<script setup lang="ts">
/** One reading: its name, its figure, and where it lies in its window. */
import { computed } from 'vue'

import type { GaugeShown } from '../api/types'
import { figure } from '../kit/format'
import { scaleOf } from '../kit/units'
import WorkedFigure from '../kit/WorkedFigure.vue'
import { barOf, windowWords } from './gauges'

const props = defineProps<{ shown: GaugeShown }>()
const gauge = computed(() => props.shown.gauge)
const bar = computed(() => barOf(gauge.value))
const outside = computed(() => Boolean(props.shown.verdict && props.shown.verdict !== 'within'))
function text(working: NonNullable<GaugeShown['gauge']['working']>) {
  const shown = scaleOf(working.unit).shown(working.value)
  return figure(shown, gauge.value.decimals ?? (Math.abs(shown) < 1 ? 2 : 1))
}
</script>

<template>
  <li :title="gauge.valid">
    <span class="name">{{ gauge.name }}</span>
    <span class="value">
      <WorkedFigure
        v-if="gauge.working"
        :working="gauge.working"
        :text="text(gauge.working)"
        :class="{ outside }"
      />
      <span v-else-if="gauge.refusal" class="quiet">no figure</span>
      <span v-else class="wrong">unknown</span>
    </span>
    <span
      v-if="bar"
      class="bar"
      role="img"
      :aria-label="`${shown.verdict} its window, ${windowWords(gauge)}`"
    >
      <span class="window" :style="{ left: `${bar.from}%`, width: `${bar.to - bar.from}%` }" />
      <span :class="['needle', { outside }]" :style="{ left: `${bar.at}%` }" />
    </span>
    <span v-if="gauge.other" class="other quiet">
      {{ gauge.other_says }}
      <WorkedFigure plain :working="gauge.other" :text="text(gauge.other)" />
    </span>
  </li>
</template>

<style scoped>
li {
  border-top: 1px solid var(--rule);
  display: grid;
  gap: 0 10px;
  grid-template-columns: 1fr auto;
  padding: 4px 0 5px;
}

li:first-child {
  border-top: 0;
}

.name {
  color: var(--muted);
}

.value {
  font-size: 16px;
  text-align: right;
}

.outside :deep(strong) {
  color: var(--amber);
}

.bar {
  background: var(--porcelain-shade);
  border-radius: 3px;
  grid-column: 1 / -1;
  height: 7px;
  margin: 3px 0 2px;
  position: relative;
}

.window {
  background: var(--leaf-strong);
  border-radius: 3px;
  bottom: 0;
  position: absolute;
  top: 0;
}

.needle {
  background: var(--ink);
  border-radius: 1px;
  bottom: -3px;
  margin-left: -1.5px;
  position: absolute;
  top: -3px;
  width: 3px;
}

.needle.outside {
  background: var(--amber);
}

.other {
  font-size: 13px;
  grid-column: 1 / -1;
}

.other {
  text-align: right;
}
</style>
