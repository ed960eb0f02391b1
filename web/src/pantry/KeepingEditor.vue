<script setup lang="ts">
/** Where it is kept and how many days, as bought and once opened. */
import { computed } from 'vue'

import { house, optionsOf } from '../api/house'
import type { Ingredient } from '../api/types'
import ChoiceField from '../kit/ChoiceField.vue'
import NumberField from '../kit/NumberField.vue'

type Keeping = NonNullable<Ingredient['keeping']>
const props = defineProps<{
  keeping: Keeping | null
  disabled: boolean
  errorAt: (field: string) => string | undefined
}>()
const emit = defineEmits<{ change: [keeping: Keeping | null] }>()
const stores = computed(() => [
  { value: '', label: 'not said' },
  ...optionsOf(house.value.pantry.stores),
])
const store = (value: string) =>
  emit('change', value ? { ...props.keeping, store: value as Keeping['store'] } : null)
const set = (change: Partial<Keeping>) =>
  props.keeping && emit('change', { ...props.keeping, ...change })
</script>

<template>
  <fieldset>
    <legend class="eyebrow">Keeps; the date on the pack goes first</legend>
    <label>
      <span class="unseen">Where it is kept</span>
      <ChoiceField
        :value="keeping?.store ?? ''"
        :options="stores"
        :disabled="disabled"
        @change="(value) => store(String(value))"
      />
    </label>
    <template v-if="keeping">
      <NumberField
        label="As bought"
        unit="d"
        optional
        placeholder="not said"
        :value="keeping.days ?? null"
        :disabled="disabled"
        :error="errorAt('keeping.days')"
        @commit="(days) => set({ days })"
      />
      <NumberField
        label="Once opened"
        unit="d"
        optional
        placeholder="not said"
        :value="keeping.opened_days ?? null"
        :disabled="disabled"
        :error="errorAt('keeping.opened_days')"
        @commit="(opened_days) => set({ opened_days })"
      />
    </template>
  </fieldset>
</template>

<style scoped>
label {
  display: grid;
  grid-column: 1 / -1;
}

fieldset {
  align-items: end;
  border: 0;
  display: grid;
  gap: 8px;
  grid-template-columns: 1fr 1fr;
  margin: 0;
  padding: 0;
}
</style>
