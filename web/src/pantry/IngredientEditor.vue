<script setup lang="ts">
/** One ingredient: density, the scale it is weighed on, what one piece weighs. */
import { computed, ref, watch } from 'vue'

import { useDraft } from '../api/draft'
import type { Ingredient, IngredientEntry } from '../api/types'
import ChoiceField from '../kit/ChoiceField.vue'
import NumberField from '../kit/NumberField.vue'
import RowSlip from '../kit/RowSlip.vue'
import TextField from '../kit/TextField.vue'
import MakeUpEditor from './MakeUpEditor.vue'
import PiecesEditor from './PiecesEditor.vue'

const props = defineProps<{ id: string; disabled: boolean }>()

function entryOf(row: Ingredient): IngredientEntry {
  const { name, density_g_ml, cup_density_g_ml, weigh_step_g, pieces, make_up, note } = row
  return { name, density_g_ml, cup_density_g_ml, weigh_step_g, pieces, make_up, note }
}
const ingredient = useDraft('ingredients', () => props.id, entryOf)
const entry = computed(() => ingredient.draft.value)
const errorAt = (field: string) => ingredient.problem.value?.at(field)
const note = ref('')
watch(
  () => entry.value?.note,
  (now) => (note.value = now ?? ''),
  { immediate: true },
)

const STEPS = [
  { value: 0.01, label: '0.01 g, fine scale' },
  { value: 0.1, label: '0.1 g, small strong things' },
  { value: 1, label: '1 g, bulk' },
  { value: 5, label: '5 g, large batches' },
]

function annotate() {
  if (note.value !== entry.value?.note) void ingredient.edit({ note: note.value })
}
</script>

<template>
  <RowSlip
    v-if="entry"
    :id="id"
    kind="ingredients"
    room="pantry"
    title="Ingredient"
    aria-label="Ingredient"
    :row="ingredient"
    :disabled="disabled"
  >
    <NumberField
      label="Density, without gaps or air"
      unit="g/ml"
      :step="0.01"
      optional
      placeholder="unknown"
      :value="entry.density_g_ml ?? null"
      :disabled="disabled"
      :error="errorAt('density_g_ml')"
      @commit="(v) => ingredient.edit({ density_g_ml: v })"
    />
    <NumberField
      label="A level cup of it"
      unit="g/ml"
      :step="0.01"
      optional
      placeholder="the same"
      :value="entry.cup_density_g_ml ?? null"
      :disabled="disabled"
      :error="errorAt('cup_density_g_ml')"
      @commit="(v) => ingredient.edit({ cup_density_g_ml: v })"
    />
    <label class="step">
      <span class="eyebrow">Weighed to</span>
      <ChoiceField
        :value="entry.weigh_step_g ?? 1"
        :options="STEPS"
        :disabled="disabled"
        @change="(step) => ingredient.edit({ weigh_step_g: Number(step) })"
      />
    </label>
    <PiecesEditor
      :pieces="entry.pieces ?? []"
      :disabled="disabled"
      :error-at="errorAt"
      @change="(pieces) => ingredient.edit({ pieces })"
    />
    <MakeUpEditor
      :make-up="entry.make_up ?? null"
      :error-at="errorAt"
      :disabled="disabled"
      @change="(make_up) => ingredient.edit({ make_up })"
    />
    <TextField
      v-model="note"
      label="Note"
      :disabled="disabled"
      :error="errorAt('note')"
      @focusout="annotate"
      @keydown.enter="annotate"
    />
  </RowSlip>
</template>

<style scoped>
.step {
  display: grid;
}
</style>
