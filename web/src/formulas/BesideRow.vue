<script setup lang="ts">
/** One row of formulas side by side: a figure of each, with its working. */
import { computed } from 'vue'

import type { Working } from '../api/types'
import { scaleOf } from '../kit/units'
import WorkedFigure from '../kit/WorkedFigure.vue'

const props = defineProps<{
  name: string
  workings: (Working | null)[]
  verdicts?: (string | null)[]
  text: (value: number) => string
  /** Whether a bar shows each beside the longest. */
  bars?: boolean
}>()
const longest = computed(() => Math.max(1e-9, ...props.workings.map((one) => one?.value ?? 0)))
const off = (i: number) => {
  const verdict = props.verdicts?.[i]
  return Boolean(verdict) && verdict !== 'within'
}
const shown = ({ value, unit }: Working) => props.text(scaleOf(unit).shown(value))
const width = (value: number) => `${((100 * value) / longest.value).toFixed(1)}%`
</script>

<template>
  <tr>
    <th scope="row">{{ name }}</th>
    <td v-for="(working, i) in workings" :key="i" :class="{ off: off(i) }">
      <template v-if="working">
        <WorkedFigure :working="working" :text="shown(working)" />
        <span v-if="off(i)" class="unseen">, {{ verdicts?.[i] }} its window</span>
        <span v-if="bars" class="bar" aria-hidden="true" :style="{ width: width(working.value) }" />
      </template>
      <span v-else class="quiet">–</span>
    </td>
  </tr>
</template>

<style scoped>
.off {
  color: var(--amber);
}

.bar {
  background: var(--leaf-strong);
  border-radius: 2px;
  display: block;
  height: 3px;
  margin-top: 2px;
}
</style>
