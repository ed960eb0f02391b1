<script setup lang="ts">
/** One ingredient for another: the straight swap and the rebalanced one, line by line. */
import Modal from 'ant-design-vue/es/modal'
import { computed, ref } from 'vue'

import type { FormulaEntry } from '../../api/types'
import { type LineEntry, withGrams } from '../lines'
import SwapChoice from './SwapChoice.vue'
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
const own = computed(() => (props.entry.lines ?? []).filter((line) => line.ingredient))
/** A line that only the rebalanced formula has. */
const NEW = {
  overrun_percent: 0,
  stage: '',
  strained_percent: 0,
  soaked: 0,
  note: '',
  formula: null,
}
const first = own.value.find((line) => line.key === props.start) ?? own.value[0]
const old = ref<string | undefined>(first?.ingredient ?? undefined)
const comes = ref<string | undefined>(undefined)
const goes = computed(() => {
  const seen = new Map(own.value.map((line) => [String(line.ingredient), props.nameOf(line)]))
  return [...seen].map(([value, label]) => ({ value, label }))
})
const { data, error, isFetching } = useSwap(
  () => props.id,
  () => props.entry,
  () => (old.value && comes.value ? { old: old.value, new: comes.value } : null),
)

function takeIt(which: 'straight_g' | 'rebalanced_g') {
  const grams = (data.value?.lines ?? []).map((one) => [one.key, one[which]] as const)
  const soaked = new Map((data.value?.lines ?? []).map((one) => [one.key, one.soaked]))
  const lines = withGrams(props.entry.lines ?? [], grams).map((line) => ({
    ...line,
    soaked: soaked.get(line.key) ?? 0,
    ingredient: line.ingredient === old.value ? (comes.value ?? null) : (line.ingredient ?? null),
  }))
  const added = (data.value?.lines ?? [])
    .filter((one) => one.added && one[which])
    .map((one) => ({ ...NEW, key: one.key, mass_g: one[which], ingredient: one.added }))
  emit('change', { lines: [...lines, ...added] })
}
</script>

<template>
  <Modal open title="One for another" :footer="null" width="880px" @cancel="emit('close')">
    <div class="swap">
      <SwapChoice v-model:old="old" v-model:comes="comes" :goes="goes" />
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
</style>
