<script setup lang="ts">
/** The job as a sentence of choices: for slicing in a tart, with dark couverture, on cream. */
import { computed } from 'vue'

import { house } from '../../api/house'
import type { FormulaEntry, Job, Reading } from '../../api/types'
import ChoiceField from '../../kit/ChoiceField.vue'
import type { LineEntry } from '../lines'

const props = defineProps<{
  entry: FormulaEntry
  jobs: Job[]
  job: Job | undefined
  reading: Reading | undefined
  nameOf: (line: LineEntry) => string
  disabled: boolean
}>()
const emit = defineEmits<{ job: [key: string]; swap: [line: string] }>()
const NONE = ''
const options = computed(() => [
  ...props.jobs.map((one) => ({ value: one.key, label: one.name })),
  { value: NONE, label: 'nothing in particular' },
])
/** The choices that are lines now; the first few say enough. */
const chosen = computed(() =>
  (props.reading?.sentence ?? []).flatMap(({ slot, line }) => {
    const own = (props.entry.lines ?? []).find((one) => one.key === line)
    return own ? [{ slot, line: own, word: house.value.formulas.slots[slot] ?? slot }] : []
  }),
)
</script>

<template>
  <div class="sentence">
    <label class="chip for">
      <span>for</span>
      <ChoiceField
        :value="job?.key ?? NONE"
        :options="options"
        :disabled="disabled"
        :bordered="false"
        @change="(key) => emit('job', String(key))"
      />
    </label>
    <template v-if="job">
      <button
        v-for="{ slot, line, word } in chosen"
        :key="slot"
        type="button"
        class="chip"
        :disabled="disabled"
        :aria-label="`${word} ${nameOf(line)}: swap it`"
        @click="emit('swap', line.key)"
      >
        <span>{{ word }}</span> <strong>{{ nameOf(line) }}</strong>
      </button>
    </template>
  </div>
</template>

<style scoped>
.sentence {
  align-items: center;
  display: flex;
  flex-wrap: wrap;
  gap: 7px;
}

.chip {
  align-items: center;
  background: var(--paper);
  border: 1px solid var(--leaf-strong);
  border-radius: var(--round);
  display: inline-flex;
  gap: 5px;
  min-height: 34px;
  padding: 2px 11px;
}

button.chip {
  cursor: pointer;
}

button.chip:hover:not(:disabled) {
  border-color: var(--bronze);
}

.chip > span:first-child {
  color: var(--muted);
}

.for {
  padding-right: 2px;
}

.for :deep(.ant-select) {
  min-width: 150px;
}

.for :deep(.ant-select-selector) {
  height: 30px !important;
  padding-left: 2px !important;
}

.for :deep(.ant-select-selection-item) {
  line-height: 30px !important;
  font-weight: 700;
}
</style>
