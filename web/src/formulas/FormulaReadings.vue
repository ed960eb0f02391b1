<script setup lang="ts">
/** Readings beside their windows; what is to be borne in mind of several is said once. */
import { computed } from 'vue'

import type { GaugeShown } from '../api/types'
import GaugeRow from './GaugeRow.vue'

const props = defineProps<{ gauges: GaugeShown[] }>()
const said = computed(() => {
  const names = new Map<string, string[]>()
  for (const { gauge } of props.gauges) {
    const say = gauge.refusal || gauge.caveat
    if (say) names.set(say, [...(names.get(say) ?? []), gauge.name])
  }
  return [...names]
})
</script>

<template>
  <ul class="list">
    <GaugeRow v-for="one in gauges" :key="one.gauge.code" :shown="one" />
  </ul>
  <p v-for="[say, names] in said" :key="say" class="quiet say">
    <strong>{{ names.join(', ') }}:</strong> {{ say }}
  </p>
</template>

<style scoped>
.say {
  font-size: 13px;
}

.say strong {
  font-weight: 600;
}
</style>
