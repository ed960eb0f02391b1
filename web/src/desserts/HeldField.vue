<script setup lang="ts">
/** Other desserts that stand on this one, or one inside it: a dome on a tart, all of a box. */
import { computed } from 'vue'

import { house } from '../api/house'
import type { HeldEntry } from '../api/types'
import EntryField from '../kit/EntryField.vue'
import RowChoice from '../kit/RowChoice.vue'
import WorkedFigure from '../kit/WorkedFigure.vue'
import { newKey } from './parts'
import type { Composing } from './useComposing'

const props = defineProps<{ work: Composing; id: string; disabled: boolean }>()
const { draft, solved } = props.work
const holds = computed(() => draft.value?.holds ?? [])
const worked = computed(() => new Map(solved.value?.holds.map((one) => [one.key, one])))
/** A change that was refused is told where it was made. */
const errorAt = (place: number, field: string) =>
  props.work.dessert.problem.value?.at(`holds.${place}.${field}`)

const edit = (next: HeldEntry[]) => props.work.edit({ holds: next })
const add = (dessert: string) =>
  edit([...holds.value, { key: newKey(), dessert, each: 1, inside_mm: null }])
const change = (key: string, own: Partial<HeldEntry>) =>
  edit(holds.value.map((one) => (one.key === key ? { ...one, ...own } : one)))
const takeOut = (key: string) => edit(holds.value.filter((one) => one.key !== key))
</script>

<template>
  <section v-if="holds.length || !disabled" class="holds" aria-label="Other desserts with it">
    <span class="eyebrow">With it</span>
    <article v-for="(one, place) in holds" :key="one.key" class="held">
      <header>
        <RouterLink :to="`/desserts/${one.dessert}`">
          {{ worked.get(one.key)?.name ?? 'A dessert' }}
        </RouterLink>
        <WorkedFigure v-if="worked.get(one.key)?.mass" :working="worked.get(one.key)!.mass!" />
      </header>
      <div class="measures">
        <EntryField
          v-for="words in house.held"
          :key="words.name"
          :words="words"
          :entry="one"
          :disabled="disabled"
          :error="errorAt(place, words.name)"
          @commit="
            (value) => (value !== null || words.empty) && change(one.key, { [words.name]: value })
          "
        />
      </div>
      <p v-if="errorAt(place, 'dessert')" class="wrong" role="alert">
        {{ errorAt(place, 'dessert') }}
      </p>
      <button v-if="!disabled" type="button" class="deed small warn" @click="takeOut(one.key)">
        Take out
      </button>
    </article>
    <label v-if="!disabled">
      <span class="unseen">Set another one on it</span>
      <RowChoice
        :value="undefined"
        shelf="desserts"
        :fits="(row) => row.id !== id"
        placeholder="Set another one on it"
        class="wide adding"
        @change="(dessert) => add(String(dessert))"
      />
    </label>
  </section>
</template>

<style scoped>
.holds {
  display: grid;
  gap: 7px;
  margin-top: 18px;
}

.held {
  border-left: 3px solid var(--leaf-strong);
  display: grid;
  gap: 5px;
  justify-items: start;
  padding-left: 9px;
}

header {
  display: flex;
  gap: 8px;
  justify-content: space-between;
  width: 100%;
}

header a {
  color: var(--ink);
  font-weight: 700;
}

.measures {
  display: grid;
  gap: 7px;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1.4fr);
  width: 100%;
}

.wide {
  width: 100%;
}

.adding :deep(.ant-select-selector) {
  background: none !important;
  border-style: dashed !important;
}
</style>
