<script setup lang="ts">
/** Named figures, a row each: what one egg weighs, how dense a sifted cup is. */
import NumberField from '../kit/NumberField.vue'
import TextField from '../kit/TextField.vue'

export interface Pair {
  name: string
  value: number
}
const props = defineProps<{
  pairs: Pair[]
  legend: string
  nameLabel: string
  valueLabel: string
  unit: string
  step: number
  blank: Pair
  add: string
  /** Path of the list, and of the figure in it, as faults name them. */
  field: string
  figure: string
  disabled: boolean
  errorAt: (field: string) => string | undefined
}>()
const emit = defineEmits<{ change: [pairs: Pair[]] }>()

const set = (at: number, change: Partial<Pair>) =>
  emit(
    'change',
    props.pairs.map((pair, i) => (i === at ? { ...pair, ...change } : pair)),
  )
const remove = (at: number) =>
  emit(
    'change',
    props.pairs.filter((_, i) => i !== at),
  )
</script>

<template>
  <fieldset>
    <legend class="eyebrow">{{ legend }}</legend>
    <div v-for="(pair, i) in pairs" :key="i" class="pair">
      <TextField
        :label="nameLabel"
        :model-value="pair.name"
        :disabled="disabled"
        @update:model-value="(name) => set(i, { name })"
      />
      <NumberField
        :label="valueLabel"
        :unit="unit"
        :step="step"
        :value="pair.value"
        :disabled="disabled"
        :error="errorAt(`${field}.${i}.${figure}`)"
        @commit="(value) => value !== null && set(i, { value })"
      />
      <button
        v-if="!disabled"
        type="button"
        class="deed small"
        :aria-label="`Take out ${pair.name}`"
        @click="remove(i)"
      >
        ×
      </button>
    </div>
    <button
      v-if="!disabled"
      type="button"
      class="deed small dashed"
      @click="emit('change', [...pairs, blank])"
    >
      {{ add }}
    </button>
  </fieldset>
</template>

<style scoped>
fieldset {
  border: 0;
  display: grid;
  gap: 8px;
  justify-items: start;
  margin: 0;
  padding: 0;
}

.pair {
  align-items: end;
  display: grid;
  gap: 6px;
  grid-template-columns: 1fr 108px auto;
  width: 100%;
}
</style>
