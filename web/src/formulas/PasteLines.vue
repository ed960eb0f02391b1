<script setup lang="ts">
/** A pasted list, shown line by line as it was understood before anything changes. */
import { computed, ref } from 'vue'

import { useWrites } from '../api/shelves'
import type { Ingredient, PastedLine } from '../api/types'
import ChoiceField from '../kit/ChoiceField.vue'
import { figure } from '../kit/format'
import PasteDialog from '../kit/PasteDialog.vue'
import {
  ASKED,
  type Choice,
  choiceFor,
  gramsOf,
  isNothing,
  linesOf,
  NEW,
  newRows,
  optionsFor,
  SKIP,
} from './pasted'
import type { LineEntry } from './lines'
import { readList } from './useFormula'

const props = defineProps<{ within: string; start?: string }>()
const emit = defineEmits<{ add: [lines: LineEntry[]]; close: [] }>()
const { createMany } = useWrites('ingredients')
const read = ref<PastedLine[] | null>(null)
const choices = ref<Choice[]>([])

async function look(text: string) {
  const found = await readList(text, props.within)
  choices.value = found.map(choiceFor)
  read.value = found
}

const taken = computed(() => choices.value.filter((one) => one !== SKIP && one !== ASKED).length)
const asked = computed(() => choices.value.filter((one) => one === ASKED).length)
const fresh = computed(() => choices.value.filter((one) => one === NEW).length)

/** What is new goes into the pantry first, all of it or nothing; then the lines are added. */
async function add() {
  const lines = read.value ?? []
  const names = lines.filter((_, i) => choices.value[i] === NEW).map((one) => one.name)
  const rows = newRows(names)
  const made: Ingredient[] = rows.length ? await createMany.mutateAsync(rows) : []
  emit('add', linesOf(lines, choices.value, made))
}
</script>

<template>
  <PasteDialog
    title="Paste a list"
    label="From a spreadsheet or plain text, one ingredient a line"
    placeholder="250 g cream"
    :look="look"
    :add="add"
    :read="read !== null"
    :taken="asked ? 0 : taken"
    :action="`Add ${taken} ${taken === 1 ? 'line' : 'lines'}`"
    :start="start ?? ''"
    @changed="read = null"
    @close="emit('close')"
  >
    <table>
      <caption class="unseen">
        What was understood
      </caption>
      <thead>
        <tr class="eyebrow">
          <th scope="col">as pasted</th>
          <th scope="col" class="grams">grams</th>
          <th scope="col">taken as</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="(line, i) in read" :key="i" :class="{ out: choices[i] === SKIP }">
          <th scope="row">{{ line.text }}</th>
          <td class="grams">
            <strong v-if="gramsOf(line, choices[i]) !== null">{{
              figure(gramsOf(line, choices[i]) ?? 0, 1)
            }}</strong>
            <span v-if="line.note" class="quiet">{{ line.note }}</span>
          </td>
          <td>
            <span v-if="line.heading" class="quiet">passed over: {{ line.asks }}</span>
            <span v-else-if="isNothing(line)" class="wrong">{{ line.asks }}</span>
            <label v-else>
              <span class="unseen">What ‘{{ line.text }}’ is taken as</span>
              <ChoiceField
                :value="choices[i] || undefined"
                :options="optionsFor(line)"
                :placeholder="line.asks"
                :class="['as', { asked: choices[i] === ASKED }]"
                @change="(one) => (choices[i] = String(one))"
              />
            </label>
          </td>
        </tr>
      </tbody>
    </table>
    <template #aside>
      <span v-if="asked" class="wrong">
        {{ asked === 1 ? 'One line asks' : `${asked} lines ask` }} what is meant.
      </span>
      <span v-else-if="read && fresh" class="quiet">{{ fresh }} new in the pantry</span>
    </template>
  </PasteDialog>
</template>

<style scoped>
table {
  border-collapse: collapse;
  width: 100%;
}

tbody tr {
  border-top: 1px solid var(--rule);
}

th {
  font-weight: 400;
  text-align: left;
}

th,
td {
  padding: 4px 10px 4px 0;
}

tr.out th {
  color: var(--muted);
}

.grams {
  text-align: right;
  white-space: nowrap;
}

.as {
  width: 300px;
}

.as.asked :deep(.ant-select-selector) {
  border-color: var(--brick);
}
</style>
