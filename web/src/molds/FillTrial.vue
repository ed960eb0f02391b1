<script setup lang="ts">
/** How high a volume stands; more than the brim is refused with what runs over. */
import { useQuery } from '@tanstack/vue-query'
import { ref } from 'vue'

import { api, take } from '../api/client'
import type { Working } from '../api/types'
import { figure } from '../kit/format'
import NumberField from '../kit/NumberField.vue'
import WorkedFigure from '../kit/WorkedFigure.vue'

const props = defineProps<{ id: string }>()
const volume = ref<number | null>(null)
const filled = useQuery({
  queryKey: ['worked out', 'filled', () => props.id, volume],
  queryFn: () =>
    take<Working>(
      api.POST('/api/molds/{row_id}/fill', {
        params: { path: { row_id: props.id } },
        body: { volume_ml: volume.value ?? 0 },
      }),
    ),
  enabled: () => volume.value !== null,
})
</script>

<template>
  <div class="trial">
    <NumberField
      label="Pour in"
      unit="ml"
      :step="50"
      optional
      :value="volume"
      :error="filled.error.value?.message"
      @commit="(v) => (volume = v)"
    />
    <p v-if="volume !== null && filled.data.value">
      stands
      <WorkedFigure :working="filled.data.value" :text="figure(filled.data.value.value, 1)" /> high
    </p>
  </div>
</template>

<style scoped>
.trial {
  align-items: end;
  display: grid;
  gap: 10px;
  grid-template-columns: 1fr 1fr;
}
</style>
