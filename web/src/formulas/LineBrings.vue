<script setup lang="ts">
/** What a line brings, drawn as shares of its mass; what no make-up tells is left hatched. */
import type { Reading } from '../api/types'
import { GROUP_COLORS } from './gauges'

defineProps<{ brings: Reading['brings'][number] | undefined }>()
const percent = (share: number) => `${(100 * share).toFixed(1)}%`
const words = (brings: Reading['brings'][number]) =>
  [
    ...Object.entries(brings.shares).map(([name, share]) => `${name} ${percent(share)}`),
    ...(brings.unknown ? [`unknown ${percent(brings.unknown)}`] : []),
  ].join(', ')
</script>

<template>
  <span v-if="brings" class="bar" role="img" :title="words(brings)" :aria-label="words(brings)">
    <span
      v-for="(share, name) in brings.shares"
      :key="name"
      :style="{ background: GROUP_COLORS[name], width: percent(share) }"
    />
    <span v-if="brings.unknown" class="unknown" :style="{ width: percent(brings.unknown) }" />
  </span>
</template>

<style scoped>
.bar {
  background: var(--porcelain-shade);
  border-radius: 3px;
  display: flex;
  height: 13px;
  overflow: hidden;
}

.unknown {
  background: repeating-linear-gradient(45deg, var(--brick-rule) 0 3px, var(--paper) 3px 6px);
}
</style>
