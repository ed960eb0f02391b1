<script setup lang="ts">
/** One formula: its head and dial, its lines, its method, what changed. */
import { computed } from 'vue'

import type { FormulaEntry, Reading, Step } from '../api/types'
import { clock } from '../kit/format'
import SaveNotice from '../kit/SaveNotice.vue'
import UndoButtons from '../kit/UndoButtons.vue'
import type { useUndo } from '../kit/useUndo'
import FormulaGrid from './FormulaGrid.vue'
import FormulaHead from './FormulaHead.vue'
import type { LineEntry } from './lines'
import MethodEditor from './MethodEditor.vue'
import RevisionsPanel from './RevisionsPanel.vue'
import FormulaSetter from './setting/FormulaSetter.vue'
import OtherChocolates from './setting/OtherChocolates.vue'
import RescuePanel from './setting/RescuePanel.vue'
import { useFamilies } from './setting/useSetting'
import type { useFormula } from './useFormula'
import { useBringBack } from './useRevisions'

const props = defineProps<{
  id: string
  entry: FormulaEntry
  formula: ReturnType<typeof useFormula>
  undo: ReturnType<typeof useUndo<FormulaEntry>>
  reading: Reading | undefined
  nameOf: (line: LineEntry) => string
  errorAt: (field: string) => string | undefined
  disabled: boolean
}>()
const { jobOf, familyOf } = useFamilies()
/** The job as it is set with what is in the formula, in this kitchen. */
const job = computed(() => {
  const own = jobOf(props.entry.job)
  return own && { ...own, ...props.reading?.here }
})
const family = computed(() => familyOf(props.entry.job))
const row = computed(() => props.formula.row.value)
const { refused, bringBack } = useBringBack(() => props.id, props.formula, props.undo.through)
const saved = computed(() => {
  if (props.formula.saving.value) return 'saving …'
  if (props.formula.problem.value) return 'not saved'
  return row.value ? `saved ${clock(row.value.changed_at)}` : ''
})
</script>

<template>
  <div class="board">
    <SaveNotice
      v-if="formula.problem.value"
      :problem="formula.problem.value"
      @reload="formula.reload"
      @insist="formula.insist"
    />
    <FormulaHead
      :id="id"
      :entry="entry"
      :color="row?.color ?? ''"
      :disabled="disabled"
      :error-at="errorAt"
      @change="undo.edit"
    />
    <FormulaSetter
      :id="id"
      :entry="entry"
      :reading="reading"
      :formula="formula"
      :job="job"
      :edit="undo.edit"
      :name-of="nameOf"
      :disabled="disabled"
    >
      <p class="quiet about">
        <UndoButtons v-if="!disabled" :undo="undo" />
        revision {{ row?.revision }} · {{ saved }}
        <template v-if="row?.changed_by"> by {{ row.changed_by }}</template>
      </p>
    </FormulaSetter>
    <FormulaGrid
      :id="id"
      :entry="entry"
      :name-of="nameOf"
      :reading="reading"
      :error-at="errorAt"
      :disabled="disabled"
      @change="undo.edit"
    />
    <MethodEditor
      :steps="(entry.method ?? []) as Step[]"
      :says="reading?.method"
      :told="reading?.told"
      :waits="reading?.waits"
      :disabled="disabled"
      :error-at="errorAt"
      @change="(method) => undo.edit({ method })"
    />
    <div v-if="job && family" class="foot">
      <RescuePanel :family="family" :job="job" />
      <!-- As saved: it need not follow the dial under the hand. -->
      <OtherChocolates :id="id" :entry="formula.base.value ?? entry" />
    </div>
    <RevisionsPanel
      :id="id"
      :revision="row?.revision"
      :did="job?.did"
      :disabled="disabled"
      @restore="bringBack"
    />
    <p v-if="refused" class="wrong" role="alert">{{ refused }}</p>
  </div>
</template>

<style scoped>
.board {
  align-content: start;
  display: grid;
  gap: 14px;
}

.about {
  align-items: center;
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
}

.foot {
  display: grid;
  gap: 26px;
  grid-template-columns: repeat(auto-fit, minmax(320px, 1fr));
}
</style>
