<script setup lang="ts">
/** One ingredient: measures, make-up, allergens, what it is bought and kept as. */
import { computed, ref, watch } from 'vue'

import { useDraft } from '../api/draft'
import { house, optionsOf } from '../api/house'
import type { Ingredient, IngredientEntry } from '../api/types'
import ChoiceField from '../kit/ChoiceField.vue'
import EntryField from '../kit/EntryField.vue'
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

const words = computed(() => house.value.pantry)
const steps = computed(() =>
  words.value.weigh_steps.map(({ value_g, label }) => ({ value: value_g, label })),
)
const eggs = computed(() => [{ value: '', label: 'no' }, ...optionsOf(words.value.eggs)])

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
      <EntryField
        v-for="one in words.densities"
        :key="one.name"
        :words="one"
        :entry="entry"
        :disabled="disabled"
        :error="errorAt(one.name)"
        @commit="(v) => ingredient.edit({ [one.name]: v })"
      />
      <label class="step">
        <span class="eyebrow">Weighed to</span>
        <ChoiceField
          :value="entry.weigh_step_g ?? 1"
          :options="steps"
          :disabled="disabled"
          @change="(step) => ingredient.edit({ weigh_step_g: Number(step) })"
        />
      </label>
      <PairsEditor
        :pairs="(entry.states ?? []).map(({ name, density_g_ml: value }) => ({ name, value }))"
        :words="words.states"
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
        :words="words.pieces"
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
          :options="eggs"
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
        :keeping="entry.keeping ?? []"
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
