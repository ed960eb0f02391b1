<script setup lang="ts">
/** The colors of what lines bring, those that occur. */
import { computed } from 'vue'

import type { Reading } from '../api/types'
import { GROUP_COLORS } from './gauges'

const props = defineProps<{ reading: Reading | undefined }>()
const groups = computed(() =>
  Object.keys(GROUP_COLORS).filter((name) =>
    props.reading?.brings.some((one) => (one.shares[name] ?? 0) > 0.01),
  ),
)
const unknown = computed(() => props.reading?.brings.some((one) => one.unknown))
</script>

<template>
  <span v-if="groups.length" class="legend" aria-hidden="true">
    <span v-for="name in groups" :key="name">
      <i :style="{ background: GROUP_COLORS[name] }" />{{ name }}
    </span>
    <span v-if="unknown"><i class="unknown" />unknown</span>
  </span>
</template>

<style scoped>
.legend {
  color: var(--muted);
  display: flex;
  flex-wrap: wrap;
  font-size: 13px;
  gap: 2px 14px;
  margin-bottom: 8px;
}

i {
  border-radius: 2px;
  display: inline-block;
  height: 9px;
  margin-right: 5px;
  width: 9px;
}

.unknown {
  background: var(--brick-rule);
}
</style>
