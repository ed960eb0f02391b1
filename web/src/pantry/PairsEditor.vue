<script setup lang="ts">
/** Named figures, a row each: what one egg weighs, how dense a sifted cup is. */
import type { House } from '../api/types'
import NumberField from '../kit/NumberField.vue'
import TextField from '../kit/TextField.vue'

export interface Pair {
  name: string
  value: number
}
const props = defineProps<{
  pairs: Pair[]
  words: House['pantry']['pieces']
  disabled: boolean
  errorAt: (field: string) => string | undefined
}>()
const emit = defineEmits<{ change: [pairs: Pair[]] }>()

const set = (at: number, change: Partial<Pair>) =>
  emit(
    'change',
    props.pairs.map((pair, i) => (i === at ? { ...pair, ...change } : pair)),
  )
const add = () => {
  const { first_name: name, figure } = props.words
  emit('change', [...props.pairs, { name, value: figure.first ?? 0 }])
}
const remove = (at: number) =>
  emit(
    'change',
    props.pairs.filter((_, i) => i !== at),
  )
</script>

<template>
  <fieldset>
    <legend class="eyebrow">{{ words.legend }}</legend>
    <div v-for="(pair, i) in pairs" :key="i" class="pair">
      <TextField
        :label="words.name_label"
        :model-value="pair.name"
        :disabled="disabled"
        @update:model-value="(name) => set(i, { name })"
      />
      <NumberField
        :label="words.figure.label"
        :unit="words.figure.unit"
        :step="words.figure.step"
        :value="pair.value"
        :disabled="disabled"
        :error="errorAt(`${words.field}.${i}.${words.figure.name}`)"
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
    <button v-if="!disabled" type="button" class="deed small dashed" @click="add">
      {{ words.add }}
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
