<script setup lang="ts">
/** Where it is kept and how many days: as bought, once opened, once thawed. */
import { computed } from 'vue'

import { house, optionsOf } from '../api/house'
import type { Ingredient } from '../api/types'
import ChoiceField from '../kit/ChoiceField.vue'
import NumberField from '../kit/NumberField.vue'

type Keeping = Ingredient['keeping'][number]
type Condition = Keeping['condition']
const props = defineProps<{
  keeping: Keeping[]
  disabled: boolean
  errorAt: (field: string) => string | undefined
}>()
const emit = defineEmits<{ change: [keeping: Keeping[]] }>()
const stores = computed(() => [
  { value: '', label: 'not said' },
  ...optionsOf(house.value.pantry.stores),
])
const conditions = computed(() =>
  Object.entries(house.value.pantry.conditions).map(([key, label]) => {
    const place = props.keeping.findIndex((one) => one.condition === key)
    return { condition: key as Condition, label, place, own: props.keeping[place] }
  }),
)

function keep(condition: Condition, store: string) {
  const others = props.keeping.filter((one) => one.condition !== condition)
  const own = props.keeping.find((one) => one.condition === condition)
  const kept = { days: null, ...own, condition, store: store as Keeping['store'] }
  emit('change', store ? [...others, kept] : others)
}

const last = (condition: Condition, days: number | null) =>
  emit(
    'change',
    props.keeping.map((one) => (one.condition === condition ? { ...one, days } : one)),
  )
</script>

<template>
  <fieldset>
    <legend class="eyebrow">Keeps; the date on the pack goes first</legend>
    <template v-for="one in conditions" :key="one.condition">
      <span class="condition">{{ one.label }}</span>
      <label>
        <span class="unseen">{{ one.label }}: where it is kept</span>
        <ChoiceField
          :value="one.own?.store ?? ''"
          :options="stores"
          :disabled="disabled"
          @change="(value) => keep(one.condition, String(value))"
        />
      </label>
      <NumberField
        v-if="one.own"
        bare
        :label="`${one.label}: days it keeps`"
        unit="d"
        optional
        placeholder="not said"
        :value="one.own.days ?? null"
        :disabled="disabled"
        :error="errorAt(`keeping.${one.place}.days`)"
        @commit="(days) => last(one.condition, days)"
      />
      <span v-else />
      <p v-if="errorAt(`keeping.${one.place}.store`)" class="wrong">
        {{ errorAt(`keeping.${one.place}.store`) }}
      </p>
    </template>
  </fieldset>
</template>

<style scoped>
fieldset {
  align-items: center;
  border: 0;
  display: grid;
  gap: 8px;
  grid-template-columns: auto 1fr 96px;
  margin: 0;
  padding: 0;
}

legend {
  margin-bottom: 6px;
}

label {
  display: grid;
}

.condition {
  color: var(--muted);
}

.wrong {
  grid-column: 2 / -1;
}
</style>
