<script setup lang="ts">
/** Grams of each component in 100 g, of which kind, how well known. Empty is unknown, not none. */
import { computed, ref, watch } from 'vue'

import { house } from '../api/house'
import type { House, IngredientEntry, MakeUp } from '../api/types'
import ChoiceField from '../kit/ChoiceField.vue'
import EntryField from '../kit/EntryField.vue'
import NumberField from '../kit/NumberField.vue'
import TextField from '../kit/TextField.vue'

const props = defineProps<{
  entry: IngredientEntry
  errorAt: (field: string) => string | undefined
  disabled: boolean
}>()
const emit = defineEmits<{ change: [change: Partial<IngredientEntry>] }>()
type Component = House['pantry']['components'][number]
type Grams = Record<string, number | null | undefined>

const words = computed(() => house.value.pantry)
const components = computed(() => words.value.components)
const own = computed(() => props.entry.make_up ?? null)
const gramsOf = ({ key }: Component) => (own.value as Grams | null)?.[key]
const all = ref(false)
const known = computed(() =>
  components.value.filter((one) => gramsOf(one) !== null && gramsOf(one) !== undefined),
)
/** What there is of it; everything while one edits, or where nothing is known yet. */
const shown = computed(() =>
  all.value ? components.value : known.value.filter((one) => gramsOf(one)),
)
const complete = computed(() => known.value.length === components.value.length)
const total = computed(() => known.value.reduce((sum, one) => sum + (gramsOf(one) ?? 0), 0))

const set = (change: object) =>
  emit('change', { make_up: { polyol: '', pectin_kind: '', ...own.value, ...change } as MakeUp })

/** What was left empty is none. */
function close() {
  set(Object.fromEntries(components.value.map((one) => [one.key, gramsOf(one) ?? 0])))
}

const capital = (name: string) => name.charAt(0).toUpperCase() + name.slice(1)
const kinds = computed(() => new Set(shown.value.filter(gramsOf).map((one) => one.kind)))
const choices = (names: string[]) => names.map((value) => ({ value, label: value }))
const statuses = computed(() => [
  { value: '', label: 'not said' },
  ...choices(words.value.statuses),
])
const told = computed(() => words.value.told.filter((one) => kinds.value.has(one.name)))
const source = ref('')
watch(
  () => props.entry.make_up_source,
  (now) => (source.value = now ?? ''),
  { immediate: true },
)
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
        v-for="one in shown"
        :key="one.key"
        :label="capital(one.name)"
        unit="g"
        :step="0.1"
        optional
        placeholder="unknown"
        :value="gramsOf(one) ?? null"
        :disabled="disabled"
        :error="errorAt(`make_up.${one.key}`)"
        @commit="(grams) => set({ [one.key]: grams })"
      />
      <EntryField
        v-for="one in told"
        :key="one.name"
        :words="one"
        :entry="own ?? {}"
        :disabled="disabled"
        :error="errorAt(`make_up.${one.name}`)"
        @commit="(value) => set({ [one.name]: value })"
      />
      <label v-if="kinds.has('polyol')">
        <span class="eyebrow">Which polyol</span>
        <ChoiceField
          :value="own?.polyol || undefined"
          :options="choices(words.polyols)"
          :disabled="disabled"
          placeholder="unknown"
          @change="(polyol) => set({ polyol })"
        />
      </label>
      <label v-if="kinds.has('pectin_kind')">
        <span class="eyebrow">Which pectin or gum</span>
        <ChoiceField
          :value="own?.pectin_kind || undefined"
          :options="choices(words.pectins)"
          :disabled="disabled"
          placeholder="unknown"
          @change="(pectin_kind) => set({ pectin_kind })"
        />
      </label>
    </div>
    <p v-if="errorAt('make_up.make_up')" class="wrong" role="alert">
      {{ errorAt('make_up.make_up') }}
    </p>
    <p v-else-if="known.length" class="quiet">
      {{ Number(total.toFixed(1)) }} g known of 100{{ complete ? '' : '; the rest is unknown' }}.
    </p>
    <button
      v-if="!disabled && known.length && !complete"
      type="button"
      class="deed small"
      @click="close"
    >
      The rest is none
    </button>
    <div v-if="own" class="fields origin">
      <TextField
        v-model="source"
        label="Where it is from"
        :disabled="disabled"
        :error="errorAt('make_up_source')"
        @focusout="source !== entry.make_up_source && emit('change', { make_up_source: source })"
      />
      <label>
        <span class="eyebrow">How well known</span>
        <ChoiceField
          :value="entry.make_up_status ?? ''"
          :options="statuses"
          :disabled="disabled"
          @change="
            (status) =>
              emit('change', {
                make_up_status: (status || null) as IngredientEntry['make_up_status'],
              })
          "
        />
      </label>
    </div>
  </section>
</template>

<style scoped>
.make-up {
  display: grid;
  gap: 8px;
  justify-items: start;
}

header {
  align-items: center;
  display: flex;
  justify-content: space-between;
  width: 100%;
}

.fields {
  display: grid;
  align-items: end;
  gap: 6px 8px;
  grid-template-columns: 1fr 1fr;
  width: 100%;
}

.fields:empty {
  display: none;
}

label {
  display: grid;
}

.origin {
  grid-template-columns: 1fr;
}
</style>
