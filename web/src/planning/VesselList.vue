<script setup lang="ts">
/** What the kitchen makes things in: least and most of each. */
import { computed, ref } from 'vue'

import { Problem } from '../api/client'
import { house } from '../api/house'
import { useRows, useWrites } from '../api/shelves'
import type { Vessel, VesselEntry } from '../api/types'
import ChoiceField from '../kit/ChoiceField.vue'
import FoldCard from '../kit/FoldCard.vue'
import NumberField from '../kit/NumberField.vue'
import KitchenRowHead from './KitchenRowHead.vue'

defineProps<{ disabled: boolean }>()
const { rows } = useRows('vessels')
const { create, change, archive } = useWrites('vessels')
const kinds = computed(() => house.value.planning.vessels)
const numbers = computed(() => house.value.planning.fields.filter((one) => one.name === 'number'))
const wordsOf = (kind: string) => kinds.value.find((one) => one.kind === kind)
const problem = ref<{ at: string; error: Problem }>()

async function attempt(at: string, work: Promise<unknown>) {
  try {
    await work
    problem.value = undefined
  } catch (error) {
    if (!(error instanceof Problem)) throw error
    problem.value = { at, error }
  }
}
const wrongAt = (row: Vessel, field: string) =>
  problem.value?.at === row.id ? problem.value.error.at(field) : undefined

const edit = (row: Vessel, changed: Partial<VesselEntry>) => {
  const { name, kind, least, most, number } = row
  const data = { name, kind, least, most, number, ...changed }
  return attempt(row.id, change.mutateAsync({ id: row.id, revision: row.revision, data }))
}
function add(kind: string) {
  const words = wordsOf(kind)
  if (!words) return
  const same = rows.value.filter((one) => one.kind === kind).length
  const name = same ? `${words.title} ${same + 1}` : words.title
  const { least, most } = words
  void attempt('', create.mutateAsync({ name, kind: words.kind, least, most, number: 1 }))
}
</script>

<template>
  <FoldCard title="What it is made in" name="plan.vessels">
    <ul class="list" aria-label="What it is made in">
      <li v-for="row in rows" :key="row.id" :aria-label="row.name">
        <KitchenRowHead
          :name="row.name"
          :label="`What ${row.name} is called`"
          :error="wrongAt(row, 'name')"
          :disabled="disabled"
          @rename="(name) => edit(row, { name })"
          @away="attempt(row.id, archive.mutateAsync(row.id))"
        />
        <div class="sides">
          <NumberField
            v-if="wordsOf(row.kind)?.least_says"
            :label="wordsOf(row.kind)?.least_says ?? ''"
            :value="row.least"
            :unit="wordsOf(row.kind)?.unit ?? ''"
            :disabled="disabled"
            :error="wrongAt(row, 'least')"
            @commit="(v) => v !== null && edit(row, { least: v })"
          />
          <NumberField
            :label="wordsOf(row.kind)?.most_says ?? ''"
            :value="row.most"
            :unit="wordsOf(row.kind)?.unit ?? ''"
            :disabled="disabled"
            :error="wrongAt(row, 'most')"
            @commit="(v) => v !== null && edit(row, { most: v })"
          />
          <NumberField
            v-for="one in numbers"
            :key="one.name"
            :label="one.label"
            :value="row.number"
            :disabled="disabled"
            :error="wrongAt(row, one.name)"
            @commit="(v) => v !== null && edit(row, { number: v })"
          />
        </div>
      </li>
    </ul>
    <p v-if="!rows.length" class="quiet">
      Nothing yet: every formula is one batch until you say what your bowls hold.
    </p>
    <label v-if="!disabled">
      <span class="unseen">Add a vessel</span>
      <ChoiceField
        class="add"
        value=""
        :options="[
          { value: '', label: 'Add a bowl, a mixer, a pot …' },
          ...kinds.map((one) => ({ value: one.kind, label: one.title })),
        ]"
        @change="(kind) => add(String(kind))"
      />
    </label>
    <p v-if="problem && !problem.at" class="wrong">{{ problem.error.message }}</p>
  </FoldCard>
</template>

<style scoped>
li {
  border-top: 1px solid var(--rule);
  padding: 7px 0;
}

.add {
  width: 100%;
}

.sides {
  display: grid;
  gap: 8px;
  grid-template-columns: 1fr 1fr;
}
</style>
