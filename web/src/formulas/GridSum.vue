<script setup lang="ts">
/** What all lines weigh together, and what of it arrives. */
import type { Reading } from '../api/types'
import { figure } from '../kit/format'
import BringsLegend from './BringsLegend.vue'

defineProps<{ reading: Reading | undefined }>()
</script>

<template>
  <p class="sum">
    <strong>{{ reading ? figure(reading.batch_g, 1) : '–' }}</strong>
    <span class="quiet">
      g weighed<template v-if="reading"> · {{ figure(reading.finished_g, 1) }} g finished</template>
    </span>
    <BringsLegend :reading="reading" />
  </p>
</template>

<style scoped>
.sum {
  align-items: baseline;
  border-top: 2px solid var(--leaf-strong);
  display: flex;
  flex-wrap: wrap;
  gap: 4px 16px;
  padding: 5px 8px;
}

.sum strong {
  font-size: 17px;
  padding-right: 2px;
  text-align: right;
  width: 52px;
}

.sum :deep(.legend) {
  justify-content: flex-end;
  margin: 0 0 0 auto;
}
</style>
