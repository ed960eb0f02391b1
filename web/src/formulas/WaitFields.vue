<script setup lang="ts">
/** The wait a step ends with: what, how long at least and at most, and where. */
import { house } from '../api/house'
import type { Wait } from '../api/types'
import ChoiceField from '../kit/ChoiceField.vue'
import NumberField from '../kit/NumberField.vue'

const props = defineProps<{ place: number; wait: Wait | null }>()
const emit = defineEmits<{ change: [wait: Wait | null] }>()
const NONE = ''
const { waits } = house.value.formulas
const KINDS = [
  { value: NONE, label: 'no wait' },
  ...waits.kinds.map((value) => ({ value, label: value })),
]
const WHERE = [
  { value: 0, label: 'before it is used' },
  { value: 1, label: 'once it is in place' },
]
const set = (change: Partial<Wait>) => emit('change', { ...(props.wait ?? waits.first), ...change })
</script>

<template>
  <fieldset class="wait">
    <legend class="unseen">The wait after step {{ place + 1 }}</legend>
    <label>
      <span class="eyebrow">Ends with</span>
      <ChoiceField
        :value="wait?.kind ?? NONE"
        :options="KINDS"
        @change="(kind) => (kind ? set({ kind: kind as Wait['kind'] }) : emit('change', null))"
      />
    </label>
    <template v-if="wait">
      <label>
        <span class="eyebrow">Where</span>
        <ChoiceField
          :value="wait.placed ? 1 : 0"
          :options="WHERE"
          @change="(placed) => set({ placed: Boolean(placed) })"
        />
      </label>
      <NumberField
        label="At least"
        unit="min"
        :step="5"
        :value="wait.least_min"
        @commit="(v) => v !== null && set({ least_min: v })"
      />
      <NumberField
        label="At most"
        unit="min"
        :step="5"
        optional
        placeholder="or longer"
        :value="wait.most_min ?? null"
        @commit="(v) => set({ most_min: v })"
      />
    </template>
  </fieldset>
</template>

<style scoped>
.wait {
  border: 0;
  display: grid;
  gap: 6px 8px;
  grid-template-columns: 1fr 1fr;
  margin: 0;
  padding: 0;
}

label {
  display: grid;
}
</style>
