<script setup lang="ts">
/** Two revisions side by side, line by line and reading by reading. */
import Modal from 'ant-design-vue/es/modal'
import { computed } from 'vue'

import type { Comparison } from '../api/types'
import { figure } from '../kit/format'
import WorkedFigure from '../kit/WorkedFigure.vue'
import { useComparison } from './useRevisions'

const props = defineProps<{ id: string; before: number; after: number }>()
const emit = defineEmits<{ close: [] }>()
const { data, error } = useComparison(
  () => props.id,
  () => ({ before: props.before, after: props.after }),
)
type Line = Comparison['lines'][number]
const moved = (one: Line) => one.before_g !== one.after_g
const grams = (value: number | null) => (value === null ? '–' : `${figure(value, 1)} g`)
const changed = computed(() => data.value?.gauges.filter((one) => one.moved) ?? [])
</script>

<template>
  <Modal
    open
    :title="`Revision ${before} beside ${after}, now`"
    :footer="null"
    width="640px"
    @cancel="emit('close')"
  >
    <p v-if="error" class="wrong" role="alert">{{ error.message }}</p>
    <table v-if="data">
      <thead>
        <tr class="eyebrow">
          <th scope="col">line</th>
          <th scope="col" class="number">{{ before }}</th>
          <th scope="col" class="number">{{ after }}, now</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="(one, i) in data.lines" :key="i" :class="{ moved: moved(one) }">
          <th scope="row">{{ one.name }}</th>
          <td class="number">{{ grams(one.before_g) }}</td>
          <td class="number">{{ grams(one.after_g) }}</td>
        </tr>
      </tbody>
      <tbody v-if="changed.length">
        <tr class="eyebrow">
          <th scope="colgroup" colspan="3">readings that moved</th>
        </tr>
        <tr v-for="(one, i) in changed" :key="i" class="moved">
          <th scope="row">{{ one.name }}</th>
          <td :class="['number', { wrong: one.was && one.was !== 'within' }]">
            <WorkedFigure :working="one.before" />
          </td>
          <td :class="['number', { wrong: one.now && one.now !== 'within' }]">
            <WorkedFigure :working="one.after" />
          </td>
        </tr>
      </tbody>
    </table>
    <p class="quiet">
      Both are read with the pantry, the prices and the nested formulas as they are today.
    </p>
  </Modal>
</template>

<style scoped>
table {
  border-collapse: collapse;
  margin-bottom: 8px;
  width: 100%;
}

th,
td {
  border-bottom: 1px solid var(--rule);
  font-weight: 400;
  padding: 4px 8px;
  text-align: left;
}

.eyebrow th {
  font-weight: 600;
  padding-top: 10px;
}

.moved {
  background: var(--bronze-wash);
}

.number {
  text-align: right;
}
</style>
