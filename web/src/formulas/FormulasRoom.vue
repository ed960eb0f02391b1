<script setup lang="ts">
/** Write a formula: lines by keyboard, what is lost, its air, the method. */
import { useQueryClient } from '@tanstack/vue-query'
import { computed, defineAsyncComponent, ref, watch } from 'vue'
import { useRouter } from 'vue-router'

import { api, take } from '../api/client'
import { useRows, useWrites } from '../api/shelves'
import ChoiceField from '../kit/ChoiceField.vue'
import EmptyState from '../kit/EmptyState.vue'
import { FLAVORS, KINDS } from '../kit/flavors'
import { clock } from '../kit/format'
import LookSwatch from '../kit/LookSwatch.vue'
import RowList from '../kit/RowList.vue'
import RowMenu from '../kit/RowMenu.vue'
import SaveNotice from '../kit/SaveNotice.vue'
import TextField from '../kit/TextField.vue'
import UndoButtons from '../kit/UndoButtons.vue'
import { useUndo } from '../kit/useUndo'
import { undoCommands, useCommands } from '../shell/commands'
import { useSession } from '../shell/session'
import FormulaGrid from './FormulaGrid.vue'
import FormulaTicket from './FormulaTicket.vue'
import FormulaSetter from './setting/FormulaSetter.vue'
import OtherChocolates from './setting/OtherChocolates.vue'
import RescuePanel from './setting/RescuePanel.vue'
import { useFamilies } from './setting/useSetting'
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
/** The formula asked for, else the first. */
const id = () => props.id || formulas.value[0]?.id
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
const name = ref('')

watch(
  () => entry.value?.name,
  (now) => (name.value = now ?? ''),
  { immediate: true },
)

const named = computed(
  () => new Map([...ingredients.value, ...formulas.value].map((one) => [one.id, one.name])),
)
const nameOf = (line: LineEntry) => named.value.get(line.ingredient ?? line.formula ?? '') ?? '…'
const look = (item: { id: string }) => formulas.value.find((one) => one.id === item.id)

const kinds = KINDS.map((value) => ({ value, label: value }))
const flavors = Object.keys(FLAVORS).map((value) => ({ value, label: value.replace('-', ' ') }))
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
    await take(
      api.POST('/api/formulas/{row_id}/revisions/{revision}/restore', { params: { path }, body }),
    )
    await formula.reload()
    await client.invalidateQueries({ queryKey: ['worked out'] })
  } catch (error) {
    refused.value = (error as Error).message
  }
}

function rename() {
  if (name.value.trim() && name.value !== entry.value?.name) {
    void undo.edit({ name: name.value.trim() })
  }
}
</script>

<template>
  <div class="zones">
    <RowList
      :id="shown"
      class="zone-shelf"
      :items="formulas"
      room="formulas"
      shelf="formulas"
      noun="formula"
      :can-make="mayWrite"
      :error="create.error.value?.message"
      @make="make"
    >
      <template #item="{ item }">
        <LookSwatch :formula="look(item)" :size="18" /> {{ item.name }}
      </template>
      <template #make>Write a formula</template>
      <template #more>
        <button v-if="mayWrite" type="button" class="deed dashed" @click="setting = true">
          Set one for its job
        </button>
      </template>
    </RowList>
    <template v-if="entry && shown">
      <section class="zone-board" aria-label="The formula">
        <SaveNotice
          v-if="formula.problem.value"
          :problem="formula.problem.value"
          @reload="formula.reload"
          @insist="formula.insist"
        />
        <header>
          <LookSwatch
            :formula="{ kind: entry.kind ?? '', flavor: entry.flavor ?? '' }"
            :size="34"
          />
          <TextField
            v-model="name"
            label="Formula"
            class="name"
            :disabled="!mayWrite"
            :error="errorAt('name')"
            @focusout="rename"
            @keydown.enter="rename"
          />
          <label class="choice">
            <span class="eyebrow">Kind</span>
            <ChoiceField
              :value="entry.kind || undefined"
              :options="kinds"
              :disabled="!mayWrite"
              placeholder="kind"
              @change="(kind) => undo.edit({ kind: String(kind), job: '' })"
            />
          </label>
          <label class="choice">
            <span class="eyebrow">Color</span>
            <ChoiceField
              :value="entry.flavor || undefined"
              :options="flavors"
              :disabled="!mayWrite"
              placeholder="flavor"
              @change="(flavor) => undo.edit({ flavor: String(flavor) })"
            />
          </label>
          <RowMenu :id="shown" kind="formulas" :name="entry.name" room="formulas" />
        </header>
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
      </section>
      <div class="zone-ticket">
        <FormulaTicket
          :id="shown"
          :row="formula.row.value"
          :entry="entry"
          :reading="reading.data.value"
          :error-at="errorAt"
          :disabled="!mayWrite"
          @change="undo.edit"
        />
      </div>
    </template>
    <SetNew
      v-if="setting"
      :error="create.error.value?.message"
      @make="write"
      @close="setting = false"
    />
    <EmptyState
      v-if="isSuccess && !formulas.length"
      class="middle"
      title="No formula yet"
      text="Write the first one: give it a name on the left, then type its lines, such as ‘250 g cream’, and press Enter."
    />
  </div>
</template>

<style scoped>
.zone-board {
  display: grid;
  align-content: start;
  gap: 14px;
}

header {
  align-items: end;
  display: flex;
  flex-wrap: wrap;
  gap: 12px;
}

.name {
  flex: 1 1 220px;
}

.name :deep(input) {
  font: 700 20px var(--face-display);
}

.about {
  align-items: center;
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
}

.choice {
  display: grid;
  width: 138px;
}

.choice :deep(.ant-select) {
  min-width: 0;
  width: 100%;
}

@media (max-width: 1100px) {
  header {
    gap: 8px;
  }

  .name {
    flex-basis: 150px;
  }

  .name :deep(input) {
    font-size: 17px;
  }

  .choice {
    width: 104px;
  }
}

.foot {
  display: grid;
  gap: 26px;
  grid-template-columns: repeat(auto-fit, minmax(320px, 1fr));
}

.middle {
  grid-column: 2 / -1;
}
</style>
