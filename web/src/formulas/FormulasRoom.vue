<script setup lang="ts">
/** Write a formula: lines by keyboard, what is lost, its air, the method. */
import { computed, defineAsyncComponent, ref, watch } from 'vue'
import { useRouter } from 'vue-router'

import { useRows, useWrites } from '../api/shelves'
import type { FormulaEntry } from '../api/types'
import EmptyState from '../kit/EmptyState.vue'
import { useUndo } from '../kit/useUndo'
import ZoneFrame from '../kit/ZoneFrame.vue'
import { undoCommands, useCommands } from '../shell/commands'
import { useSession } from '../shell/session'
import FormulaBoard from './FormulaBoard.vue'
import FormulaShelf from './FormulaShelf.vue'
import FormulaTicket from './FormulaTicket.vue'
import { groupsOf } from './groups'
import type { LineEntry } from './lines'
import { useFormula, useReading } from './useFormula'

const SetNew = defineAsyncComponent(() => import('./setting/SetNew.vue'))
const props = defineProps<{ id?: string }>()
const router = useRouter()
const { mayWrite } = useSession()
const { rows: formulas, isSuccess } = useRows('formulas')
const { rows: ingredients } = useRows('ingredients')
const { create } = useWrites('formulas')
const LAST = 'fernbell.last-formula'
/** The formula asked for, else the one last worked on, else the first. */
const last = ref(localStorage.getItem(LAST))
const groups = computed(() => groupsOf(formulas.value, last.value))
const id = () =>
  props.id || (formulas.value.find((one) => one.id === last.value) ?? groups.value[0]?.items[0])?.id
const shown = computed(() => id() ?? '')
watch(
  () => props.id,
  (now) => now && localStorage.setItem(LAST, now),
  { immediate: true },
)
const formula = useFormula(id)
const undo = useUndo(id, formula)
const entry = computed(() => formula.draft.value)
const reading = useReading(id, () => entry.value)
const errorAt = (field: string) => formula.problem.value?.at(field)
const setting = ref(false)
useCommands(() => [
  ...undoCommands(undo, !mayWrite.value),
  ...(mayWrite.value
    ? [{ name: 'Set a formula for its job', keys: 'j', run: () => (setting.value = true) }]
    : []),
])
const named = computed(
  () => new Map([...ingredients.value, ...formulas.value].map((one) => [one.id, one.name])),
)
const nameOf = (line: LineEntry) => named.value.get(line.ingredient ?? line.formula ?? '') ?? '…'
const make = (title: string) => write({ name: title } as FormulaEntry)

async function write(fresh: FormulaEntry) {
  try {
    const row = await create.mutateAsync(fresh)
    setting.value = false
    await router.push(`/formulas/${row.id}`)
  } catch {
    // Shown under the list.
  }
}
</script>

<template>
  <ZoneFrame :shown="props.id" shelf="Formulas" board="The formula" ticket="What it will do">
    <template #shelf>
      <FormulaShelf
        :id="shown"
        :formulas="formulas"
        :groups="groups"
        :can-make="mayWrite"
        :error="create.error.value?.message"
        @make="make"
        @set="setting = true"
      />
    </template>
    <FormulaBoard
      v-if="entry && shown"
      :id="shown"
      :entry="entry"
      :formula="formula"
      :undo="undo"
      :reading="reading.data.value"
      :name-of="nameOf"
      :error-at="errorAt"
      :disabled="!mayWrite"
    />
    <EmptyState
      v-else-if="isSuccess && !formulas.length"
      title="No formula yet"
      text="Set one for its job, or write the first one: give it a name on the left, then type its lines, such as ‘250 g cream’, and press Enter."
    />
    <template #ticket>
      <FormulaTicket
        v-if="entry && shown"
        :id="shown"
        :row="formula.row.value"
        :entry="entry"
        :reading="reading.data.value"
        :error-at="errorAt"
        :disabled="!mayWrite"
        @change="undo.edit"
      />
    </template>
    <SetNew
      v-if="setting"
      :error="create.error.value?.message"
      @make="write"
      @close="setting = false"
    />
  </ZoneFrame>
</template>
