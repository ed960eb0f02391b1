<script setup lang="ts">
/** How much water stands around so many of a mold on a tray. */
import { ref } from 'vue'

import { figure } from '../kit/format'
import NumberField from '../kit/NumberField.vue'
import RowChoice from '../kit/RowChoice.vue'
import WorkedFigure from '../kit/WorkedFigure.vue'
import { useBath } from './useBath'

const props = defineProps<{ id: string }>()
const tray = ref<string>()
const count = ref(6)
const bath = useBath(
  () => props.id,
  () => tray.value,
  () => count.value,
)
</script>

<template>
  <div class="bath">
    <label>
      <span class="eyebrow">In a water bath, on</span>
      <RowChoice v-model:value="tray" shelf="molds" placeholder="a tray" />
    </label>
    <NumberField
      label="So many"
      :step="1"
      :value="count"
      :error="bath.error.value?.message"
      @commit="(v) => v !== null && (count = v)"
    />
    <p v-if="tray && bath.data.value">
      <WorkedFigure :working="bath.data.value" :text="figure(bath.data.value.value, 0)" />
      of hot water, to half their height
    </p>
  </div>
</template>

<style scoped>
.bath {
  align-items: end;
  display: grid;
  gap: 10px;
  grid-template-columns: 1.6fr 1fr;
}

p {
  grid-column: 1 / -1;
  margin: 0;
}
</style>
