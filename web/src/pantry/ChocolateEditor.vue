<script setup lang="ts">
/** Whether it is a chocolate, of which kind, and its three temper figures. */
import { computed } from 'vue'

import { house, optionsOf } from '../api/house'
import type { Ingredient } from '../api/types'
import ChoiceField from '../kit/ChoiceField.vue'
import EntryField from '../kit/EntryField.vue'
import NumberField from '../kit/NumberField.vue'

type Chocolate = NonNullable<Ingredient['chocolate']>
const props = defineProps<{
  chocolate: Chocolate | null
  disabled: boolean
  errorAt: (field: string) => string | undefined
}>()
const emit = defineEmits<{ change: [chocolate: Chocolate | null] }>()

const words = computed(() => house.value.pantry)
const kinds = computed(() => [
  { value: '', label: 'no chocolate' },
  ...optionsOf(words.value.chocolates),
])
/** A new couverture starts with the usual figures of its kind; compound has none. */
function choose(kind: string) {
  if (!kind) return emit('change', null)
  const temper = words.value.temper[kind] ?? null
  const cocoa_percent = props.chocolate?.cocoa_percent ?? 0
  emit('change', { kind: kind as Chocolate['kind'], cocoa_percent, temper })
}
const set = (change: Partial<Chocolate>) =>
  props.chocolate && emit('change', { ...props.chocolate, ...change })
const temper = computed(() => props.chocolate?.temper ?? null)
</script>

<template>
  <fieldset>
    <legend class="eyebrow">Chocolate</legend>
    <div class="two">
      <label>
        <span class="unseen">Kind of chocolate</span>
        <ChoiceField
          :value="chocolate?.kind ?? ''"
          :options="kinds"
          :disabled="disabled"
          @change="(kind) => choose(String(kind))"
        />
      </label>
      <NumberField
        v-if="chocolate"
        label="Cocoa"
        bare
        unit="% cocoa"
        :value="chocolate.cocoa_percent"
        :disabled="disabled"
        :error="errorAt('chocolate.cocoa_percent')"
        @commit="(cocoa_percent) => cocoa_percent !== null && set({ cocoa_percent })"
      />
    </div>
    <div v-if="temper" class="three">
      <EntryField
        v-for="one in words.temper_fields"
        :key="one.name"
        :words="one"
        :entry="temper"
        :disabled="disabled"
        :error="errorAt(`chocolate.temper.${one.name}`)"
        @commit="
          (value) => value !== null && temper && set({ temper: { ...temper, [one.name]: value } })
        "
      />
    </div>
    <p v-if="temper" class="quiet">The figures on the pack win.</p>
    <p v-else-if="chocolate" class="quiet">Compound is not tempered.</p>
  </fieldset>
</template>

<style scoped>
fieldset {
  border: 0;
  display: grid;
  gap: 6px;
  margin: 0;
  padding: 0;
}

label {
  display: grid;
}

.two,
.three {
  display: grid;
  gap: 8px;
  grid-template-columns: 1fr 1fr;
}

.three {
  grid-template-columns: repeat(3, 1fr);
}
</style>
