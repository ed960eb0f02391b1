<script setup lang="ts">
/** Write a formula: lines by keyboard, what is lost, its air, the method. */
import { computed, defineAsyncComponent, ref, watch } from 'vue'
import { useRouter } from 'vue-router'

import { refusalOf } from '../api/client'
import { useKnown } from '../api/known'
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
/** Those touched last come first where there are many. */
const { rows: formulas, left, more, isSuccess } = useRows('formulas', { order: 'latest' })
const { create } = useWrites('formulas')
const LAST = 'fernbell.last-formula'
/** The formula asked for, else the one last worked on, else the first. */
const last = ref(localStorage.getItem(LAST))
const groups = computed(() => groupsOf(formulas.value, last.value))
const id = () => {
  if (props.id || !isSuccess.value) return props.id
  const kept = left.value > 0 && last.value ? last.value : undefined
  const shelved = formulas.value.find((one) => one.id === last.value)
  return shelved?.id ?? kept ?? groups.value[0]?.items[0]?.id
}
const shown = computed(() => id() ?? '')
watch(
  () => props.id,
  (now) => now && localStorage.setItem(LAST, now),
  { immediate: true },
)
const formula = useFormula(id)
/** The last one may be of another kitchen. */
watch(formula.missing, (missing) => missing && !props.id && (last.value = null))
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
/** Lines as they are saved say what they weigh; what the draft has beside them is looked up. */
const told = computed(
  () =>
    new Map(
      (formula.row.value?.lines ?? []).map((one) => [one.ingredient ?? one.formula, one.name]),
    ),
)
const untold = (key: 'ingredient' | 'formula') =>
  (entry.value?.lines ?? []).flatMap(({ [key]: of }) => (of && !told.value.has(of) ? [of] : []))
const ingredientOf = useKnown('ingredients', () => untold('ingredient'))
const formulaOf = useKnown('formulas', () => untold('formula'))
const nameOf = ({ ingredient, formula: nested }: LineEntry) =>
  told.value.get(ingredient ?? nested ?? null) ??
  (ingredient ? ingredientOf(ingredient) : formulaOf(nested ?? ''))?.name ??
  '…'
const make = (title: string) => write({ name: title } as FormulaEntry)

async function write(fresh: FormulaEntry) {
  try {
    const row = await create.mutateAsync(fresh)
    setting.value = false
    await router.push(`/formulas/${row.id}`)
  } catch (error) {
    // Shown under the list.
    refusalOf(error)
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
        :left="left"
        :can-make="mayWrite"
        :error="create.error.value?.message"
        @make="make"
        @set="setting = true"
        @more="more"
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
