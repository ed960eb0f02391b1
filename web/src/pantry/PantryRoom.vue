<script setup lang="ts">
/** Ingredients: density, the scale they are weighed on, what one piece weighs. */
import Select from 'ant-design-vue/es/select'
import { computed, ref, watch } from 'vue'
import { useRouter } from 'vue-router'

import { useDraft } from '../api/draft'
import { useRows, useWrites } from '../api/shelves'
import type { Ingredient, IngredientEntry } from '../api/types'
import EmptyState from '../kit/EmptyState.vue'
import { figure } from '../kit/format'
import NumberField from '../kit/NumberField.vue'
import RowList from '../kit/RowList.vue'
import RowMenu from '../kit/RowMenu.vue'
import SaveNotice from '../kit/SaveNotice.vue'
import TextField from '../kit/TextField.vue'
import { useSession } from '../shell/session'
import PiecesEditor from './PiecesEditor.vue'

const props = defineProps<{ id?: string }>()
const router = useRouter()
const { mayWrite } = useSession()
const { rows, isSuccess } = useRows('ingredients')
const { create } = useWrites('ingredients')

function entryOf(row: Ingredient): IngredientEntry {
  const { name, density_g_ml, cup_density_g_ml, weigh_step_g, pieces, note } = row
  return { name, density_g_ml, cup_density_g_ml, weigh_step_g, pieces, note }
}
const ingredient = useDraft('ingredients', () => props.id || undefined, entryOf)
const entry = computed(() => ingredient.draft.value)
const errorAt = (field: string) => ingredient.problem.value?.at(field)
const text = ref({ name: '', note: '' })
watch(entry, (now) => (text.value = { name: now?.name ?? '', note: now?.note ?? '' }), {
  immediate: true,
})

const STEPS = [
  { value: 0.01, label: '0.01 g, fine scale' },
  { value: 0.1, label: '0.1 g, small strong things' },
  { value: 1, label: '1 g, bulk' },
  { value: 5, label: '5 g, large batches' },
]

function commit() {
  const { name, note } = text.value
  if (!entry.value || (name === entry.value.name && note === entry.value.note)) return
  void ingredient.edit({ name, note })
}

async function make(name: string) {
  try {
    const row = await create.mutateAsync({
      name,
      density_g_ml: null,
      cup_density_g_ml: null,
      weigh_step_g: 1,
      pieces: [],
      note: '',
    })
    await router.push(`/pantry/${row.id}`)
  } catch {
    // Shown under the list.
  }
}
const shownDensity = (value: number | null) => (value === null ? 'unknown' : value.toFixed(2))
</script>

<template>
  <div class="zones">
    <RowList
      :id="props.id"
      class="zone-shelf"
      :items="rows"
      room="pantry"
      noun="ingredient"
      :can-make="mayWrite"
      :error="create.error.value?.message"
      @make="make"
    >
      <template #make>Add an ingredient</template>
    </RowList>
    <section class="zone-board" aria-label="Pantry">
      <table v-if="rows.length">
        <caption>
          <h1>Pantry</h1>
        </caption>
        <thead>
          <tr class="eyebrow">
            <th scope="col">ingredient</th>
            <th scope="col" class="number">g/ml</th>
            <th scope="col" class="number">a level cup, g/ml</th>
            <th scope="col" class="number">weighed to</th>
            <th scope="col">counted as</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="row in rows" :key="row.id" :class="{ chosen: row.id === props.id }">
            <th scope="row">
              <RouterLink :to="`/pantry/${row.id}`">{{ row.name }}</RouterLink>
            </th>
            <td :class="['number', { wrong: row.density_g_ml === null }]">
              {{ shownDensity(row.density_g_ml) }}
            </td>
            <td class="number quiet">
              {{ row.cup_density_g_ml === null ? 'the same' : row.cup_density_g_ml.toFixed(2) }}
            </td>
            <td class="number quiet">{{ row.weigh_step_g }} g</td>
            <td class="quiet">
              {{
                row.pieces.map((piece) => `${piece.name} ${figure(piece.mass_g, 1)} g`).join(', ')
              }}
            </td>
          </tr>
        </tbody>
      </table>
      <EmptyState
        v-else-if="isSuccess"
        title="The pantry is empty"
        text="Add what you weigh: a name is enough to begin. With a density, volumes turn into grams."
      />
    </section>
    <div class="zone-ticket">
      <section v-if="entry && props.id" class="slip" aria-label="Ingredient">
        <header>
          <h2>Ingredient</h2>
          <RowMenu :id="props.id" kind="ingredients" :name="entry.name" room="pantry" />
        </header>
        <SaveNotice
          v-if="ingredient.problem.value"
          :problem="ingredient.problem.value"
          @reload="ingredient.reload"
          @insist="ingredient.insist"
        />
        <TextField
          v-model="text.name"
          label="Name"
          :disabled="!mayWrite"
          :error="errorAt('name')"
          @focusout="commit"
          @keydown.enter="commit"
        />
        <NumberField
          label="Density, without gaps or air"
          unit="g/ml"
          :step="0.01"
          optional
          placeholder="unknown"
          :value="entry.density_g_ml ?? null"
          :disabled="!mayWrite"
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
          :disabled="!mayWrite"
          :error="errorAt('cup_density_g_ml')"
          @commit="(v) => ingredient.edit({ cup_density_g_ml: v })"
        />
        <label class="step">
          <span class="eyebrow">Weighed to</span>
          <Select
            :value="entry.weigh_step_g ?? 1"
            :options="STEPS"
            :disabled="!mayWrite"
            @change="(step) => ingredient.edit({ weigh_step_g: Number(step) })"
          />
        </label>
        <PiecesEditor
          :pieces="entry.pieces ?? []"
          :disabled="!mayWrite"
          :error-at="errorAt"
          @change="(pieces) => ingredient.edit({ pieces })"
        />
        <TextField
          v-model="text.note"
          label="Note"
          :disabled="!mayWrite"
          :error="errorAt('note')"
          @focusout="commit"
          @keydown.enter="commit"
        />
      </section>
      <p v-else class="slip quiet">
        Choose an ingredient to see and change it. A density is mass over volume: weigh a known
        volume of it.
      </p>
    </div>
  </div>
</template>

<style scoped>
table {
  border-collapse: collapse;
  width: 100%;
}

caption {
  padding-bottom: 8px;
  text-align: left;
}

tr {
  border-bottom: 1px solid var(--rule);
}

tr.chosen {
  background: var(--bronze-wash);
}

th,
td {
  font-weight: 400;
  padding: 5px 8px;
  text-align: left;
}

thead th {
  background: var(--porcelain);
  font-weight: 600;
  position: sticky;
  top: -16px;
}

th a {
  color: var(--ink);
  text-decoration: none;
}

th a:hover {
  text-decoration: underline;
}

.number {
  text-align: right;
}

.slip {
  align-content: start;
  display: grid;
  gap: 12px;
}

.slip header {
  align-items: center;
  display: flex;
  flex-wrap: wrap;
  justify-content: space-between;
}

.step {
  display: grid;
}
</style>
