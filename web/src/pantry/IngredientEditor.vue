<script setup lang="ts">
/** One ingredient: measures, make-up, allergens, what it is bought and kept as. */
import { computed, ref, watch } from 'vue'

import { useDraft } from '../api/draft'
import type { Ingredient, IngredientEntry } from '../api/types'
import ChoiceField from '../kit/ChoiceField.vue'
import NumberField from '../kit/NumberField.vue'
import RowSlip from '../kit/RowSlip.vue'
import TextField from '../kit/TextField.vue'
import { useSession } from '../shell/session'
import AllergensEditor from './AllergensEditor.vue'
import ChocolateEditor from './ChocolateEditor.vue'
import KeepingEditor from './KeepingEditor.vue'
import MakeUpEditor from './MakeUpEditor.vue'
import NamesEditor from './NamesEditor.vue'
import PacksEditor from './PacksEditor.vue'
import PairsEditor from './PairsEditor.vue'

const props = defineProps<{ id: string; disabled: boolean }>()

function entryOf(row: Ingredient): IngredientEntry {
  const { name, density_g_ml, cup_density_g_ml, weigh_step_g, pieces, make_up, note } = row
  const { make_up_source, make_up_status, states, egg, allergens } = row
  const { chocolate, packs, keeping } = row
  const measures = { density_g_ml, cup_density_g_ml, weigh_step_g, pieces, states, egg }
  const made = { make_up, make_up_source, make_up_status, allergens, chocolate }
  const { other_names } = row
  return { name, other_names, ...measures, ...made, packs, keeping, note }
}
const ingredient = useDraft('ingredients', () => props.id, entryOf)
const entry = computed(() => ingredient.draft.value)
const errorAt = (field: string) => ingredient.problem.value?.at(field)
const { person } = useSession()
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

const EGGS = [
  { value: '', label: 'no' },
  { value: 'whole', label: 'whole egg' },
  { value: 'yolk', label: 'yolk' },
  { value: 'white', label: 'white' },
]

function annotate() {
  if (note.value !== entry.value?.note) void ingredient.edit({ note: note.value })
}
</script>

<template>
  <RowSlip
    v-if="entry"
    :id="id"
    shelf="ingredients"
    room="pantry"
    title="Ingredient"
    aria-label="Ingredient"
    class="sides"
    :row="ingredient"
    :disabled="disabled"
  >
    <div class="side">
      <NamesEditor
        v-if="ingredient.row.value"
        :row="ingredient.row.value"
        :names="entry.other_names ?? []"
        :error="errorAt('other_names')"
        :disabled="disabled"
        @change="(other_names) => ingredient.edit({ other_names })"
      />
      <h3>Measures</h3>
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
      <PairsEditor
        :pairs="(entry.states ?? []).map(({ name, density_g_ml: value }) => ({ name, value }))"
        legend="A cup of it sifted, chopped, packed"
        name-label="How"
        value-label="Density"
        unit="g/ml"
        :step="0.01"
        :blank="{ name: 'sifted', value: 0.5 }"
        add="Add a way it is prepared"
        field="states"
        figure="density_g_ml"
        :disabled="disabled"
        :error-at="errorAt"
        @change="
          (pairs) =>
            ingredient.edit({
              states: pairs.map(({ name, value }) => ({ name, density_g_ml: value })),
            })
        "
      />
      <PairsEditor
        :pairs="(entry.pieces ?? []).map(({ name, mass_g: value }) => ({ name, value }))"
        legend="Counted as, the usual one first"
        name-label="Piece"
        value-label="One weighs"
        unit="g"
        :step="0.1"
        :blank="{ name: 'piece', value: 10 }"
        add="Add a counted unit"
        field="pieces"
        figure="mass_g"
        :disabled="disabled"
        :error-at="errorAt"
        @change="
          (pairs) =>
            ingredient.edit({ pieces: pairs.map(({ name, value }) => ({ name, mass_g: value })) })
        "
      />
      <label class="step">
        <span class="eyebrow">Of an egg</span>
        <ChoiceField
          :value="entry.egg ?? ''"
          :options="EGGS"
          :disabled="disabled"
          @change="(egg) => ingredient.edit({ egg: (egg || null) as IngredientEntry['egg'] })"
        />
      </label>
    </div>
    <div class="side">
      <MakeUpEditor
        :entry="entry"
        :error-at="errorAt"
        :disabled="disabled"
        @change="ingredient.edit"
      />
      <AllergensEditor
        :allergens="entry.allergens ?? null"
        :disabled="disabled"
        @change="(allergens) => ingredient.edit({ allergens })"
      />
      <ChocolateEditor
        :chocolate="entry.chocolate ?? null"
        :disabled="disabled"
        :error-at="errorAt"
        @change="(chocolate) => ingredient.edit({ chocolate })"
      />
      <PacksEditor
        :packs="entry.packs ?? []"
        :price-per-kg="ingredient.row.value?.price_per_kg ?? null"
        :currency="person?.kitchen.currency ?? ''"
        :disabled="disabled"
        :error-at="errorAt"
        @change="(packs) => ingredient.edit({ packs })"
      />
      <KeepingEditor
        :keeping="entry.keeping ?? null"
        :disabled="disabled"
        :error-at="errorAt"
        @change="(keeping) => ingredient.edit({ keeping })"
      />
      <TextField
        v-model="note"
        label="Note"
        :disabled="disabled"
        :error="errorAt('note')"
        @focusout="annotate"
        @keydown.enter="annotate"
      />
    </div>
  </RowSlip>
</template>

<style scoped>
.sides {
  border-radius: var(--round);
  column-gap: 30px;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
  min-height: 0;
}

.sides > :deep(:not(.side)) {
  grid-column: 1 / -1;
}

.side {
  align-content: start;
  display: grid;
  gap: 12px;
}

@media (max-width: 1100px) {
  .sides {
    grid-template-columns: minmax(0, 1fr);
  }
}

.step {
  display: grid;
}
</style>
