<script setup lang="ts">
/** Ingredients: what they weigh, cost, are made of and have to declare. */
import Input from 'ant-design-vue/es/input'
import { computed, defineAsyncComponent, ref } from 'vue'
import { useRouter } from 'vue-router'

import { useRows, useWrites } from '../api/shelves'
import EmptyState from '../kit/EmptyState.vue'
import { figure } from '../kit/format'
import RowList from '../kit/RowList.vue'
import { fitting } from '../kit/search'
import { useCommands } from '../shell/commands'
import { useSession } from '../shell/session'
import IngredientEditor from './IngredientEditor.vue'

const PastePantry = defineAsyncComponent(() => import('./PastePantry.vue'))
const props = defineProps<{ id?: string }>()
const router = useRouter()
const { mayWrite, person } = useSession()
const { rows, isSuccess } = useRows('ingredients')
const { create } = useWrites('ingredients')
const pasting = ref(false)
useCommands(() =>
  mayWrite.value
    ? [{ name: 'Paste ingredients', keys: 'p', run: () => (pasting.value = true) }]
    : [],
)

async function make(name: string) {
  try {
    const row = await create.mutateAsync({ name })
    await router.push(`/pantry/${row.id}`)
  } catch {
    // Shown under the list.
  }
}
const query = ref('')
const MOST = 80
const found = computed(() => {
  const fit = fitting(query.value)
  return rows.value.filter((row) => fit(row.name))
})
/** The chosen one is always among them. */
const shown = computed(() => {
  const first = found.value.slice(0, MOST)
  const chosen = rows.value.find((row) => row.id === props.id)
  return !chosen || first.includes(chosen) ? first : [chosen, ...first]
})
const shownDensity = (value: number | null) => (value === null ? 'unknown' : value.toFixed(2))
</script>

<template>
  <div class="zones">
    <div class="zone-shelf">
      <RowList
        :id="props.id"
        :items="rows"
        room="pantry"
        noun="ingredient"
        :can-make="mayWrite"
        :error="create.error.value?.message"
        @make="make"
      >
        <template #make>Add an ingredient</template>
      </RowList>
      <button v-if="mayWrite" type="button" class="deed dashed paste" @click="pasting = true">
        Paste a list
      </button>
      <PastePantry v-if="pasting" @close="pasting = false" />
    </div>
    <section class="zone-board" aria-label="Pantry">
      <table v-if="rows.length">
        <caption>
          <span class="title">
            <h1>Pantry</h1>
            <Input
              v-model:value="query"
              class="find"
              placeholder="Any word of the name: ‘dark 70’, ‘creme’, ‘leaf silver’"
              aria-label="Find in the pantry"
              allow-clear
            />
            <span class="quiet">{{ found.length }} of {{ rows.length }}</span>
          </span>
        </caption>
        <thead>
          <tr class="eyebrow">
            <th scope="col">ingredient</th>
            <th scope="col" class="number">g/ml</th>
            <th scope="col" class="number">{{ person?.kitchen.currency }}/kg</th>
            <th scope="col">counted as</th>
            <th scope="col">make-up</th>
            <th scope="col">allergens</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="row in shown" :key="row.id" :class="{ chosen: row.id === props.id }">
            <th scope="row">
              <RouterLink :to="`/pantry/${row.id}`">{{ row.name }}</RouterLink>
            </th>
            <td :class="['number', { wrong: row.density_g_ml === null }]">
              {{ shownDensity(row.density_g_ml) }}
            </td>
            <td class="number">
              {{ row.price_per_kg === null ? '–' : figure(row.price_per_kg, 2) }}
            </td>
            <td class="quiet">{{ row.counted }}</td>
            <td :class="row.made_up ? 'quiet' : 'wrong'">
              {{ row.made_up ? 'known' : 'unknown' }}
            </td>
            <td :class="row.allergens === null ? 'wrong' : 'quiet'">
              {{ row.allergens === null ? 'not entered' : row.allergens.join(', ') }}
            </td>
          </tr>
        </tbody>
      </table>
      <EmptyState
        v-else-if="isSuccess"
        title="The pantry is empty"
        text="Add what you weigh: a name is enough to begin. With a density, volumes turn into grams."
      />
      <p v-if="found.length > MOST" class="quiet">
        and {{ found.length - MOST }} more: type a word of the name above.
      </p>
    </section>
    <div class="zone-ticket">
      <IngredientEditor v-if="props.id" :id="props.id" :key="props.id" :disabled="!mayWrite" />
      <p v-else class="slip quiet">
        Choose an ingredient to see and change it. A density is mass over volume: weigh a known
        volume of it.
      </p>
    </div>
  </div>
</template>

<style scoped>
.paste {
  margin-top: 10px;
  width: 100%;
}

table {
  border-collapse: collapse;
  width: 100%;
}

caption {
  padding-bottom: 8px;
  text-align: left;
}

.title {
  align-items: center;
  display: flex;
  gap: 16px;
}

.find {
  max-width: 420px;
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
</style>
