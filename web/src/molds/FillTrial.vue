<script setup lang="ts">
/** How high a volume stands; more than the brim is refused with what runs over. */
import { ref } from 'vue'

import { figure } from '../kit/format'
import NumberField from '../kit/NumberField.vue'
import WorkedFigure from '../kit/WorkedFigure.vue'
import { useFill } from './useFill'

const props = defineProps<{ id: string }>()
const volume = ref<number | null>(null)
const filled = useFill(
  () => props.id,
  () => volume.value,
)
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
