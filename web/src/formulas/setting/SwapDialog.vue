<script setup lang="ts">
/** One ingredient for another: the straight swap and the rebalanced one, line by line. */
import Modal from 'ant-design-vue/es/modal'
import { computed, ref } from 'vue'

import { useRows } from '../../api/shelves'
import type { FormulaEntry } from '../../api/types'
import ChoiceField from '../../kit/ChoiceField.vue'
import { fitsOption } from '../../kit/search'
import type { LineEntry } from '../useFormula'
import SwapPairs from './SwapPairs.vue'
import { useSwap } from './useSetting'

const props = defineProps<{
  id: string
  entry: FormulaEntry
  /** Key of the line whose ingredient goes, or nothing. */
  start: string
  nameOf: (line: LineEntry) => string
}>()
const emit = defineEmits<{ change: [change: Partial<FormulaEntry>]; close: [] }>()
const { rows: ingredients } = useRows('ingredients')
const own = computed(() => (props.entry.lines ?? []).filter((line) => line.ingredient))
const first = own.value.find((line) => line.key === props.start) ?? own.value[0]
const old = ref<string | undefined>(first?.ingredient ?? undefined)
const comes = ref<string | undefined>(undefined)
const goes = computed(() => {
  const seen = new Map(own.value.map((line) => [String(line.ingredient), props.nameOf(line)]))
  return [...seen].map(([value, label]) => ({ value, label }))
})
const options = computed(() =>
  ingredients.value
    .filter((one) => one.id !== old.value)
    .map((one) => ({ value: one.id, label: one.name })),
)
const { data, error, isFetching } = useSwap(
  () => props.id,
  () => props.entry,
  () => (old.value && comes.value ? { old: old.value, new: comes.value } : null),
)

function takeIt(which: 'straight_g' | 'rebalanced_g') {
  const grams = new Map(data.value?.lines.map((one) => [one.key, one[which]]))
  const lines = (props.entry.lines ?? []).map((line) => ({
    ...line,
    mass_g: grams.get(line.key) ?? line.mass_g,
    ingredient: line.ingredient === old.value ? (comes.value ?? null) : (line.ingredient ?? null),
  }))
  emit('change', { lines })
}
</script>

<template>
  <Modal open title="One for another" :footer="null" width="880px" @cancel="emit('close')">
    <div class="swap">
      <div class="asked">
        <label>
          <span class="eyebrow">Goes</span>
          <ChoiceField v-model:value="old" :options="goes" />
        </label>
        <label>
          <span class="eyebrow">Comes</span>
          <ChoiceField
            v-model:value="comes"
            :options="options"
            placeholder="type a word of it"
            show-search
            :filter-option="fitsOption"
          />
        </label>
      </div>
      <p v-if="!comes" class="quiet">
        Choose what comes in its place: you see it straight, gram for gram, and rebalanced so that
        the formula still does its job.
      </p>
      <p v-if="error" class="wrong" role="alert">{{ error.message }}</p>
      <p v-else-if="isFetching && !data" class="quiet" role="status">Weighing it up …</p>
      <template v-if="data">
        <SwapPairs :swap="data" :name="entry.name">
          <template #straight>
            <button type="button" class="deed small" @click="takeIt('straight_g')">
              Take straight
            </button>
          </template>
          <template #rebalanced>
            <button type="button" class="deed small main" @click="takeIt('rebalanced_g')">
              Take rebalanced
            </button>
          </template>
        </SwapPairs>
      </template>
    </div>
  </Modal>
</template>

<style scoped>
.swap {
  display: grid;
  gap: 12px;
}

.asked {
  display: grid;
  gap: 12px;
  grid-template-columns: 1fr 1fr;
}

.asked label {
  display: grid;
  gap: 2px;
}
</style>
