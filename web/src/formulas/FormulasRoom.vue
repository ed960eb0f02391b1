<script setup lang="ts">
/** Write a formula: lines by keyboard, what is lost, its air, the method. */
import { useQueryClient } from '@tanstack/vue-query'
import { computed, defineAsyncComponent, ref, watch } from 'vue'
import { useRouter } from 'vue-router'

import { api, take } from '../api/client'
import { useRows, useWrites } from '../api/shelves'
import EmptyState from '../kit/EmptyState.vue'
import { clock, figure } from '../kit/format'
import LookSwatch from '../kit/LookSwatch.vue'
import RowList from '../kit/RowList.vue'
import SaveNotice from '../kit/SaveNotice.vue'
import ZoneFrame from '../kit/ZoneFrame.vue'
import UndoButtons from '../kit/UndoButtons.vue'
import { useUndo } from '../kit/useUndo'
import { undoCommands, useCommands } from '../shell/commands'
import { useSession } from '../shell/session'
import FormulaGrid from './FormulaGrid.vue'
import FormulaHead from './FormulaHead.vue'
import FormulaTicket from './FormulaTicket.vue'
import FormulaSetter from './setting/FormulaSetter.vue'
import OtherChocolates from './setting/OtherChocolates.vue'
import RescuePanel from './setting/RescuePanel.vue'
import { useFamilies } from './setting/useSetting'
import { groupsOf } from './groups'
import MethodEditor from './MethodEditor.vue'
import RevisionsPanel from './RevisionsPanel.vue'
import type { FormulaEntry, Step } from '../api/types'
import { type LineEntry, useFormula, useReading } from './useFormula'

const SetNew = defineAsyncComponent(() => import('./setting/SetNew.vue'))
const props = defineProps<{ id?: string }>()
const router = useRouter()
const client = useQueryClient()
const { mayWrite } = useSession()
const { rows: formulas, isSuccess } = useRows('formulas')
const { rows: ingredients } = useRows('ingredients')
const { create } = useWrites('formulas')
const LAST = 'fernbell.last-formula'
/** The formula asked for, else the one last worked on, else the first. */
const last = ref(localStorage.getItem(LAST))
const id = () =>
  props.id || (formulas.value.find((one) => one.id === last.value) ?? groups.value[0]?.items[0])?.id
const groups = computed(() => groupsOf(formulas.value, last.value))
watch(
  () => props.id,
  (now) => now && localStorage.setItem(LAST, now),
  { immediate: true },
)
const formula = useFormula(id)
const undo = useUndo(id, formula)
const reading = useReading(id, () => formula.draft.value)
const shown = computed(() => id() ?? '')
useCommands(() => [
  ...undoCommands(undo, !mayWrite.value),
  ...(mayWrite.value
    ? [{ name: 'Set a formula for its job', keys: 'j', run: () => (setting.value = true) }]
    : []),
])
const entry = computed(() => formula.draft.value)
const errorAt = (field: string) => formula.problem.value?.at(field)
const setting = ref(false)
const { jobOf, familyOf } = useFamilies()
const job = computed(() => jobOf(entry.value?.job))
const family = computed(() => familyOf(entry.value?.job))
const named = computed(
  () => new Map([...ingredients.value, ...formulas.value].map((one) => [one.id, one.name])),
)
const nameOf = (line: LineEntry) => named.value.get(line.ingredient ?? line.formula ?? '') ?? '…'
const look = (item: { id: string }) => formulas.value.find((one) => one.id === item.id)

const saved = computed(() => {
  if (formula.saving.value) return 'saving …'
  if (formula.problem.value) return 'not saved'
  return formula.row.value ? `saved ${clock(formula.row.value.changed_at)}` : ''
})

const make = (title: string) => write({ name: title } as FormulaEntry)

async function write(entry: FormulaEntry) {
  try {
    const row = await create.mutateAsync(entry)
    setting.value = false
    await router.push(`/formulas/${row.id}`)
  } catch {
    // Shown under the list.
  }
}

const refused = ref('')
/** The formula as it was at an earlier revision; the save is a revision of its own. */
async function bringBack(revision: number) {
  refused.value = ''
  const path = { row_id: shown.value, revision }
  const body = { revision: formula.row.value?.revision ?? 0 }
  try {
    await undo.through(async () => {
      await take(
        api.POST('/api/formulas/{row_id}/revisions/{revision}/restore', { params: { path }, body }),
      )
      await formula.reload()
    })
    await client.invalidateQueries({ queryKey: ['worked out'] })
  } catch (error) {
    refused.value = (error as Error).message
  }
}
</script>

<template>
  <ZoneFrame :shown="props.id" shelf="Formulas" board="The formula" ticket="What it will do">
    <template #shelf>
      <RowList
        :id="shown"
        :items="formulas"
        :groups="groups"
        room="formulas"
        shelf="formulas"
        noun="formula"
        :can-make="mayWrite"
        :error="create.error.value?.message"
        @make="make"
      >
        <template #item="{ item }">
          <LookSwatch :formula="look(item)" :size="18" />
          <span class="formula-name">{{ item.name }}</span>
          <span class="quiet grams" aria-hidden="true"
            >{{ figure(look(item)?.batch_g ?? 0, 0) }} g</span
          >
        </template>
        <template #make>Write a formula</template>
        <template #above>
          <button v-if="mayWrite" type="button" class="deed" @click="setting = true">
            Set one for its job
          </button>
        </template>
      </RowList>
    </template>
    <div v-if="entry && shown" class="board">
      <SaveNotice
        v-if="formula.problem.value"
        :problem="formula.problem.value"
        @reload="formula.reload"
        @insist="formula.insist"
      />
      <FormulaHead
        :id="shown"
        :entry="entry"
        :color="formula.row.value?.color ?? ''"
        :disabled="!mayWrite"
        :error-at="errorAt"
        @change="undo.edit"
      />
      <FormulaSetter
        :id="shown"
        :entry="entry"
        :reading="reading.data.value"
        :formula="formula"
        :edit="undo.edit"
        :name-of="nameOf"
        :disabled="!mayWrite"
      >
        <p class="quiet about">
          <UndoButtons v-if="mayWrite" :undo="undo" />
          revision {{ formula.row.value?.revision }} · {{ saved }}
          <template v-if="formula.row.value?.changed_by">
            by {{ formula.row.value.changed_by }}</template
          >
        </p>
      </FormulaSetter>
      <FormulaGrid
        :id="shown"
        :entry="entry"
        :name-of="nameOf"
        :reading="reading.data.value"
        :error-at="errorAt"
        :disabled="!mayWrite"
        @change="undo.edit"
      />
      <MethodEditor
        :steps="(entry.method ?? []) as Step[]"
        :says="reading.data.value?.method"
        :waits="reading.data.value?.waits"
        :disabled="!mayWrite"
        :error-at="errorAt"
        @change="(method) => undo.edit({ method })"
      />
      <div v-if="job && family" class="foot">
        <RescuePanel :family="family" :job="job" />
        <!-- As saved: it need not follow the dial under the hand. -->
        <OtherChocolates :id="shown" :entry="formula.base.value ?? entry" />
      </div>
      <RevisionsPanel
        :id="shown"
        :revision="formula.row.value?.revision"
        :disabled="!mayWrite"
        @restore="bringBack"
      />
      <p v-if="refused" class="wrong" role="alert">{{ refused }}</p>
    </div>
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

<style scoped>
.board {
  display: grid;
  align-content: start;
  gap: 14px;
}

.about {
  align-items: center;
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
}

.formula-name {
  flex: 1;
  min-width: 0;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}

.grams {
  font-weight: 400;
}

.foot {
  display: grid;
  gap: 26px;
  grid-template-columns: repeat(auto-fit, minmax(320px, 1fr));
}
</style>
