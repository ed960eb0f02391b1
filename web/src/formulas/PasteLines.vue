<script setup lang="ts">
/** A pasted list, shown line by line as it was understood before anything changes. */
import { Textarea } from 'ant-design-vue/es/input'
import Modal from 'ant-design-vue/es/modal'
import ChoiceField from '../kit/ChoiceField.vue'
import { computed, ref, watch } from 'vue'

import { api, Problem, take } from '../api/client'
import { useWrites } from '../api/shelves'
import type { Ingredient, PastedLine } from '../api/types'
import { figure } from '../kit/format'
import { type Choice, choiceFor, linesOf, NEW, newRows, optionsFor, SKIP } from './pasted'
import type { LineEntry } from './useFormula'

const props = defineProps<{ within: string; start?: string }>()
const emit = defineEmits<{ add: [lines: LineEntry[]]; close: [] }>()
const { createMany } = useWrites('ingredients')
const text = ref(props.start ?? '')
const read = ref<PastedLine[] | null>(null)
const choices = ref<Choice[]>([])
const refusal = ref('')
const busy = ref(false)
watch(text, () => (read.value = null))

async function guarded(work: () => Promise<void>) {
  refusal.value = ''
  busy.value = true
  try {
    await work()
  } catch (error) {
    if (!(error instanceof Problem)) throw error
    refusal.value = error.detail
  } finally {
    busy.value = false
  }
}

const look = () =>
  guarded(async () => {
    const body = { text: text.value, within: props.within }
    const found = await take<PastedLine[]>(api.POST('/api/formulas/read-list', { body }))
    choices.value = found.map(choiceFor)
    read.value = found
  })
if (props.start) void look()

const taken = computed(() => choices.value.filter((one) => one !== SKIP).length)
const fresh = computed(() => choices.value.filter((one) => one === NEW).length)

/** What is new goes into the pantry first, all of it or nothing; then the lines are added. */
const add = () =>
  guarded(async () => {
    const lines = read.value ?? []
    const names = lines.filter((_, i) => choices.value[i] === NEW).map((one) => one.name)
    const rows = newRows(names)
    const made: Ingredient[] = rows.length ? await createMany.mutateAsync(rows) : []
    emit('add', linesOf(lines, choices.value, made))
  })
</script>

<template>
  <Modal open title="Paste a list" :footer="null" width="760px" @cancel="emit('close')">
    <div class="paste">
      <label class="text">
        <span class="eyebrow">From a spreadsheet or plain text, one ingredient a line</span>
        <Textarea
          v-model:value="text"
          :auto-size="{ minRows: 4, maxRows: read ? 4 : 12 }"
          placeholder="250 g cream"
        />
      </label>
      <table v-if="read">
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
              <strong v-if="line.mass_g !== null">{{ figure(line.mass_g, 1) }}</strong>
            </td>
            <td>
              <span v-if="line.heading" class="quiet">passed over: {{ line.refusal }}</span>
              <span v-else-if="line.mass_g === null" class="wrong">{{ line.refusal }}</span>
              <label v-else>
                <span class="unseen">What ‘{{ line.text }}’ is taken as</span>
                <ChoiceField v-model:value="choices[i]" :options="optionsFor(line)" class="as" />
              </label>
            </td>
          </tr>
        </tbody>
      </table>
      <p v-if="refusal" class="wrong" role="alert">{{ refusal }}</p>
      <!-- One button for both steps: it keeps the focus. -->
      <div class="ends">
        <button
          type="button"
          class="deed main"
          :disabled="(read ? !taken : !text.trim()) || busy"
          @click="read ? add() : look()"
        >
          {{ read ? `Add ${taken} ${taken === 1 ? 'line' : 'lines'}` : 'Show what is understood' }}
        </button>
        <span v-if="read && fresh" class="quiet">{{ fresh }} new in the pantry</span>
      </div>
    </div>
  </Modal>
</template>

<style scoped>
.paste {
  display: grid;
  gap: 12px;
}

.text {
  display: grid;
  gap: 3px;
}

table {
  border-collapse: collapse;
  display: block;
  max-height: 46vh;
  overflow-y: auto;
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

.ends {
  align-items: center;
  display: flex;
  gap: 12px;
}
</style>
