<script setup lang="ts">
/** Grams of each component in 100 g. A field left empty is unknown, which is not nothing. */
import { computed, ref } from 'vue'

import type { MakeUp } from '../api/types'
import NumberField from '../kit/NumberField.vue'

const props = defineProps<{
  makeUp: MakeUp | null
  errorAt: (field: string) => string | undefined
  disabled: boolean
}>()
const emit = defineEmits<{ change: [makeUp: MakeUp] }>()

const COMPONENTS: [keyof MakeUp, string][] = [
  ['water', 'Water'],
  ['milk_fat', 'Milk fat'],
  ['cocoa_butter', 'Cocoa butter'],
  ['other_fat', 'Other fat'],
  ['cocoa_solids', 'Cocoa solids'],
  ['sucrose', 'Sucrose'],
  ['glucose', 'Glucose'],
  ['fructose', 'Fructose'],
  ['lactose', 'Lactose'],
  ['maltose', 'Maltose'],
  ['glucose_syrup_solids', 'Glucose-syrup solids'],
  ['polyols', 'Polyols'],
  ['starch', 'Starch'],
  ['other_carbohydrate', 'Other carbohydrate'],
  ['fiber', 'Fiber'],
  ['protein', 'Protein'],
  ['alcohol', 'Alcohol'],
  ['acids', 'Acids'],
  ['salt', 'Salt'],
  ['ash', 'Ash'],
  ['gelatin', 'Gelatin'],
  ['pectin', 'Pectin, gums'],
]
const all = ref(false)
const known = computed(() =>
  COMPONENTS.filter(
    ([field]) => props.makeUp?.[field] !== null && props.makeUp?.[field] !== undefined,
  ),
)
/** What there is of it; everything while one edits, or where nothing is known yet. */
const shown = computed(() =>
  all.value ? COMPONENTS : known.value.filter(([field]) => props.makeUp?.[field]),
)
const complete = computed(() => known.value.length === COMPONENTS.length)

const set = (field: keyof MakeUp, value: number | null) =>
  emit('change', { ...props.makeUp, [field]: value })

/** What was left empty is none. */
function close() {
  const rest = Object.fromEntries(COMPONENTS.map(([field]) => [field, props.makeUp?.[field] ?? 0]))
  emit('change', rest)
}
</script>

<template>
  <section class="make-up" aria-label="Make-up">
    <header>
      <h3>Make-up, g in 100 g</h3>
      <button type="button" class="deed small" :aria-expanded="all" @click="all = !all">
        {{ all ? 'Show what there is' : 'Show all' }}
      </button>
    </header>
    <p v-if="!known.length && !all" class="quiet">
      Unknown. What a formula contains cannot be told where it is used.
    </p>
    <div class="fields">
      <NumberField
        v-for="[field, label] in shown"
        :key="field"
        :label="label"
        unit="g"
        :step="0.1"
        optional
        placeholder="unknown"
        :value="makeUp?.[field] ?? null"
        :disabled="disabled"
        :error="errorAt(`make_up.${field}`)"
        @commit="(v) => set(field, v)"
      />
    </div>
    <p v-if="errorAt('make_up.make_up')" class="wrong" role="alert">
      {{ errorAt('make_up.make_up') }}
    </p>
    <button
      v-if="!disabled && known.length && !complete"
      type="button"
      class="deed small"
      @click="close"
    >
      The rest is none
    </button>
  </section>
</template>

<style scoped>
.make-up {
  display: grid;
  gap: 8px;
}

header {
  align-items: center;
  display: flex;
  justify-content: space-between;
}

.fields {
  display: grid;
  gap: 6px 8px;
  grid-template-columns: 1fr 1fr;
}

.fields:empty {
  display: none;
}
</style>
