<script setup lang="ts">
/** A formula set for its job: the sentence, the dial, and the ways to fit and swap it. */
import { computed, defineAsyncComponent, ref } from 'vue'

import type { Formula, FormulaEntry, Job, Reading } from '../../api/types'
import type { LineEntry } from '../lines'
import DialBoard from './DialBoard.vue'
import JobSentence from './JobSentence.vue'
import { useFamilies, useTurn } from './useSetting'

const SwapDialog = defineAsyncComponent(() => import('./SwapDialog.vue'))
const FitDialog = defineAsyncComponent(() => import('./FitDialog.vue'))
const props = defineProps<{
  id: string
  entry: FormulaEntry
  reading: Reading | undefined
  formula: {
    draft: { value: FormulaEntry | null }
    row: { value: Formula | undefined }
    preview: (changed: Partial<FormulaEntry>) => void
  }
  /** The job as it is set here. */
  job: Job | undefined
  edit: (changed: Partial<FormulaEntry>, before?: FormulaEntry | null) => Promise<void>
  nameOf: (line: LineEntry) => string
  disabled: boolean
}>()
const { jobs } = useFamilies()
const fitting = computed(() => jobs.value.filter((one) => one.kind === props.entry.kind))
const swapping = ref<string | null>(null)
const fitted = ref(false)
const { turn, settle, refusal } = useTurn(
  () => props.id,
  props.formula,
  (changed, before) => props.edit(changed, before),
)
const change = (changed: Partial<FormulaEntry>) => {
  swapping.value = null
  fitted.value = false
  void props.edit(changed)
}
</script>

<template>
  <div class="setter">
    <div class="top">
      <slot />
      <span v-if="!disabled && entry.lines?.length" class="deeds">
        <button type="button" class="deed small" @click="swapping = ''">Swap …</button>
        <button type="button" class="deed small" @click="fitted = true">Fit to …</button>
      </span>
    </div>
    <JobSentence
      v-if="fitting.length || job"
      :entry="entry"
      :jobs="fitting"
      :job="job"
      :reading="reading"
      :name-of="nameOf"
      :disabled="disabled"
      @job="(key) => edit({ job: key })"
      @swap="(line) => (swapping = line)"
    />
    <DialBoard
      v-if="job"
      :key="job.key"
      :job="job"
      :landing="reading?.landing ?? null"
      :finished="reading?.finished_g"
      :refusal="refusal"
      :disabled="disabled"
      @turn="turn"
      @settle="settle"
    />
    <SwapDialog
      v-if="swapping !== null"
      :id="id"
      :entry="entry"
      :start="swapping"
      :name-of="nameOf"
      @change="change"
      @close="swapping = null"
    />
    <!-- Its first demand is the dial of the job, once that is known. -->
    <FitDialog
      v-if="fitted && (job || !entry.job)"
      :id="id"
      :entry="entry"
      :job="job"
      :eggs="Boolean(reading?.eggs)"
      :name-of="nameOf"
      @change="change"
      @close="fitted = false"
    />
  </div>
</template>

<style scoped>
.setter {
  display: grid;
  gap: 10px;
}

.top {
  align-items: center;
  display: flex;
  gap: 10px;
  justify-content: space-between;
}

.deeds {
  display: inline-flex;
  flex: none;
  gap: 6px;
}
</style>
