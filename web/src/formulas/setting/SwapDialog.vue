<script setup lang="ts">
/** One ingredient for another: the straight swap and the rebalanced one, line by line. */
import Modal from 'ant-design-vue/es/modal'
import { computed, ref } from 'vue'

import { useRows } from '../../api/shelves'
import type { FormulaEntry, Swapped } from '../../api/types'
import ChoiceField from '../../kit/ChoiceField.vue'
import { figure } from '../../kit/format'
import { fitsOption } from '../../kit/search'
import WorkedFigure from '../../kit/WorkedFigure.vue'
import type { LineEntry } from '../useFormula'
import { useSwap } from './useSetting'

const props = defineProps<{
  id: string
  entry: FormulaEntry
  /** Key of the line whose ingredient goes, or nothing. */
  start: string
  nameOf: (line: LineEntry) => string
}>()
const emit = defineEmits<{ change: [change: Partial<FormulaEntry>]; close: [] }>()
const { rows: ingredients } = useRows('ingredients')
const own = computed(() => (props.entry.lines ?? []).filter((line) => line.ingredient))
const first = own.value.find((line) => line.key === props.start) ?? own.value[0]
const old = ref<string | undefined>(first?.ingredient ?? undefined)
const comes = ref<string | undefined>(undefined)
const goes = computed(() => {
  const seen = new Map(own.value.map((line) => [String(line.ingredient), props.nameOf(line)]))
  return [...seen].map(([value, label]) => ({ value, label }))
})
const options = computed(() =>
  ingredients.value
    .filter((one) => one.id !== old.value)
    .map((one) => ({ value: one.id, label: one.name })),
)
const { data, error, isFetching } = useSwap(
  () => props.id,
  () => props.entry,
  () => (old.value && comes.value ? { old: old.value, new: comes.value } : null),
)

type Gauge = Swapped['gauges'][number]
const far = (one: Gauge, now: Gauge['before']) => {
  const [was, is] = [one.before?.value, now?.value]
  if (was === undefined || is === undefined) return was !== is
  return Math.abs(is - was) > 0.02 * Math.max(Math.abs(was), Math.abs(is), 1e-9)
}
/** Of the readings that decide, those that moved in either. */
const moved = computed(() =>
  (data.value?.gauges ?? []).filter(
    (one) => one.decides && (far(one, one.straight) || far(one, one.rebalanced)),
  ),
)
/** Sweetness has no unit that has to be said in every column. */
const plain = (one: Gauge) => (one.code === 'sweetness' ? { unit: '' } : {})
const kept = computed(() => data.value?.kept.filter((one) => one.kept) ?? [])
const lost = computed(() => data.value?.kept.filter((one) => !one.kept) ?? [])
const lower = (words: { name: string }[]) => words.map((one) => one.name.toLowerCase()).join(', ')

function takeIt(which: 'straight_g' | 'rebalanced_g') {
  const grams = new Map(data.value?.lines.map((one) => [one.key, one[which]]))
  const lines = (props.entry.lines ?? []).map((line) => ({
    ...line,
    mass_g: grams.get(line.key) ?? line.mass_g,
    ingredient: line.ingredient === old.value ? (comes.value ?? null) : (line.ingredient ?? null),
  }))
  emit('change', { lines })
}
</script>

<template>
  <Modal open title="One for another" :footer="null" width="880px" @cancel="emit('close')">
    <div class="swap">
      <div class="asked">
        <label>
          <span class="eyebrow">Goes</span>
          <ChoiceField v-model:value="old" :options="goes" />
        </label>
        <label>
          <span class="eyebrow">Comes</span>
          <ChoiceField
            v-model:value="comes"
            :options="options"
            placeholder="type a word of it"
            show-search
            :filter-option="fitsOption"
          />
        </label>
      </div>
      <p v-if="!comes" class="quiet">
        Choose what comes in its place: you see it straight, gram for gram, and rebalanced so that
        the formula still does its job.
      </p>
      <p v-if="error" class="wrong" role="alert">{{ error.message }}</p>
      <p v-else-if="isFetching && !data" class="quiet" role="status">Weighing it up …</p>
      <template v-if="data">
        <table aria-label="Lines, side by side">
          <thead>
            <tr class="eyebrow">
              <th scope="col">line</th>
              <th scope="col" class="number">now</th>
              <th scope="col" class="number">straight</th>
              <th scope="col" class="number best">rebalanced</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="one in data.lines" :key="one.key">
              <th scope="row">
                <template v-if="one.before !== one.after"
                  ><s>{{ one.before }}</s> <strong>{{ one.after }}</strong></template
                ><template v-else>{{ one.before }}</template>
              </th>
              <td class="number">{{ figure(one.before_g, 1) }} g</td>
              <td class="number">{{ figure(one.straight_g, 1) }} g</td>
              <td :class="['number', 'best', { moved: one.rebalanced_g !== one.straight_g }]">
                {{ figure(one.rebalanced_g, 1) }} g
              </td>
            </tr>
          </tbody>
          <tbody>
            <tr class="take">
              <td colspan="2" class="quiet">
                <template v-if="kept.length">Rebalanced keeps {{ lower(kept) }}. </template>
                <template v-if="lost.length">No swap keeps {{ lower(lost) }}.</template>
              </td>
              <td class="number">
                <button type="button" class="deed small" @click="takeIt('straight_g')">
                  Take straight
                </button>
              </td>
              <td class="number best">
                <button type="button" class="deed small main" @click="takeIt('rebalanced_g')">
                  Take rebalanced
                </button>
              </td>
            </tr>
          </tbody>
          <tbody>
            <tr class="eyebrow">
              <th scope="colgroup" colspan="4">what moves</th>
            </tr>
            <tr v-for="one in moved" :key="one.code">
              <th scope="row">{{ one.name }}</th>
              <td class="number"><WorkedFigure :working="one.before" v-bind="plain(one)" /></td>
              <td :class="['number', { off: !one.straight_fits }]">
                <WorkedFigure :working="one.straight" v-bind="plain(one)" />
              </td>
              <td :class="['number', 'best', { off: !one.rebalanced_fits }]">
                <WorkedFigure :working="one.rebalanced" v-bind="plain(one)" />
              </td>
            </tr>
          </tbody>
        </table>
        <section v-if="data.notes.length" aria-label="What the method changes">
          <h3>What the method changes</h3>
          <ul class="list notes">
            <li v-for="note in data.notes" :key="note.says">
              <span class="eyebrow">{{ note.about }}</span> {{ note.says }}
            </li>
          </ul>
        </section>
      </template>
    </div>
  </Modal>
</template>

<style scoped>
.swap {
  display: grid;
  gap: 12px;
}

.asked {
  display: grid;
  gap: 12px;
  grid-template-columns: 1fr 1fr;
}

.asked label {
  display: grid;
  gap: 2px;
}

table {
  border-collapse: collapse;
  width: 100%;
}

th,
td {
  border-bottom: 1px solid var(--rule);
  font-weight: 400;
  padding: 3px 10px;
  text-align: left;
}

.eyebrow th {
  font-weight: 600;
  padding-top: 8px;
}

.number {
  text-align: right;
  white-space: nowrap;
  width: 132px;
}

.best {
  background: var(--bronze-wash);
}

.moved {
  font-weight: 700;
}

.off :deep(strong) {
  color: var(--amber);
}

.take td {
  padding-block: 8px;
}

s {
  color: var(--muted);
}

.notes li {
  display: grid;
  gap: 10px;
  grid-template-columns: 92px 1fr;
  padding: 2px 0;
}
</style>
