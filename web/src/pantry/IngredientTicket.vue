<script setup lang="ts">
/** What one ingredient is good for: its make-up in a picture, cost, where it is used, what lacks. */
import { computed } from 'vue'

import { useRow } from '../api/shelves'
import { figure } from '../kit/format'
import { useSession } from '../shell/session'
import MakeUpPicture from './MakeUpPicture.vue'

const props = defineProps<{ id: string }>()
const { data: row } = useRow('ingredients', () => props.id)
const { person } = useSession()
const lacks = computed(() => {
  if (!row.value) return []
  const { density_g_ml, make_up, allergens, pieces } = row.value
  return [
    ...(density_g_ml === null ? ['Its density: cups and spoons cannot become grams.'] : []),
    ...(make_up === null ? ['Its make-up: formulas cannot be read where it is used.'] : []),
    ...(allergens === null ? ['Its allergens: they are not declared where it is used.'] : []),
    ...(pieces.length || density_g_ml !== null ? [] : ['What one of it weighs.']),
  ]
})
</script>

<template>
  <section v-if="row" class="slip" aria-label="What it is">
    <h2>What it is</h2>
    <MakeUpPicture v-if="row.make_up" :brings="row.brings" />
    <p v-if="row.price_per_kg !== null">
      <strong>{{ figure(row.price_per_kg, 2) }}</strong> {{ person?.kitchen.currency }} a kilogram
    </p>
    <p v-if="row.allergens?.length">
      <span class="eyebrow">To declare</span> {{ row.allergens.join(', ') }}
    </p>
    <template v-if="lacks.length">
      <h3>Not known yet</h3>
      <p v-for="(one, i) in lacks" :key="i" class="lack">{{ one }}</p>
    </template>
    <h3>Used in</h3>
    <p v-if="row.used_by.length">{{ row.used_by.join(', ') }}</p>
    <p v-else class="quiet">No formula weighs it.</p>
  </section>
</template>

<style scoped>
.slip {
  align-content: start;
  display: grid;
  gap: 10px;
}

.lack {
  background: var(--amber-wash);
  border: 1px solid var(--amber-rule);
  border-radius: var(--round);
  padding: 6px 10px;
}
</style>
