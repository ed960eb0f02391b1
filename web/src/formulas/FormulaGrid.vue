<script setup lang="ts">
/** The lines: grams, what, percent, air. Arrow keys and Enter walk down the column. */
import { computed, defineAsyncComponent, nextTick, ref } from 'vue'

import type { FormulaEntry, Reading } from '../api/types'
import { figure } from '../kit/format'
import NumberField from '../kit/NumberField.vue'
import WorkedFigure from '../kit/WorkedFigure.vue'
import { useCommands } from '../shell/commands'
import BringsLegend from './BringsLegend.vue'
import LineBrings from './LineBrings.vue'
import LineFacts from './LineFacts.vue'
import TypedLine from './TypedLine.vue'
import type { LineEntry } from './useFormula'
import type { TypedResult } from './useTypedLines'

const PasteLines = defineAsyncComponent(() => import('./PasteLines.vue'))
const props = defineProps<{
  id: string
  entry: FormulaEntry
  nameOf: (line: LineEntry) => string
  reading: Reading | undefined
  errorAt: (field: string) => string | undefined
  disabled: boolean
}>()
const emit = defineEmits<{ change: [change: Partial<FormulaEntry>] }>()
const pasting = ref<{ text: string } | null>(null)
useCommands(() =>
  props.disabled
    ? []
    : [{ name: 'Paste a list of lines', keys: 'p', run: () => (pasting.value = { text: '' }) }],
)
/** Names of the method's steps, to say at which one a line goes in. */
const stages = computed(() => [
  ...new Set((props.entry.method ?? []).flatMap((step) => step.stage || [])),
])
const body = ref<HTMLElement | null>(null)
const lines = computed(() => props.entry.lines ?? [])
const bases = computed(() => props.entry.base_lines ?? [])
const isBase = (key: string) => bases.value.includes(key)
const total = computed(() => props.reading?.batch_g)

function set(key: string, change: Partial<LineEntry>) {
  emit('change', {
    lines: lines.value.map((line) => (line.key === key ? { ...line, ...change } : line)),
  })
}

function remove(key: string) {
  emit('change', {
    lines: lines.value.filter((line) => line.key !== key),
    base_lines: bases.value.filter((one) => one !== key),
  })
}

function add(typed: TypedResult) {
  emit('change', {
    lines: [...lines.value, { overrun_percent: 0, stage: '', strained: false, ...typed }],
  })
}

function addAll(more: LineEntry[]) {
  pasting.value = null
  emit('change', { lines: [...lines.value, ...more] })
}

/** Percentages refer to all marked lines together, such as the chocolate; without any, to all. */
function base(key: string) {
  const others = bases.value.filter((one) => one !== key)
  emit('change', { base_lines: isBase(key) ? others : [...others, key] })
}

function move(at: number, by: 1 | -1) {
  const next = [...lines.value]
  const [line] = next.splice(at, 1)
  if (line && at + by >= 0 && at + by <= next.length) {
    next.splice(at + by, 0, line)
    emit('change', { lines: next })
  }
}

/** Enter goes on to the grams of the next line, and from the last to the line being typed. */
function down(at: number) {
  void nextTick(() => {
    const fields = body.value?.querySelectorAll<HTMLElement>('.grams input, .typed input')
    fields?.[at + 1]?.focus()
  })
}
</script>

<template>
  <div ref="body">
    <table>
      <thead>
        <tr class="eyebrow">
          <th scope="col" class="grams">grams</th>
          <th scope="col">ingredient or formula</th>
          <th scope="col" class="percent">
            {{ bases.length ? '% of ●' : '% of all' }}
          </th>
          <th scope="col" class="air" title="Overrun: air beaten in">air, %</th>
          <th scope="col" class="brings">what it brings</th>
          <th class="tools"><span class="unseen">Actions</span></th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="(line, i) in lines" :key="line.key" :class="{ base: isBase(line.key) }">
          <td class="grams">
            <NumberField
              :label="`Grams of ${nameOf(line)}`"
              bare
              :value="line.mass_g"
              :disabled="disabled"
              :error="errorAt(`lines.${i}.mass_g`)"
              @commit="(v) => v !== null && set(line.key, { mass_g: v })"
              @enter="down(i)"
            />
          </td>
          <td>
            <RouterLink v-if="line.formula" :to="`/formulas/${line.formula}`">{{
              nameOf(line)
            }}</RouterLink>
            <template v-else>{{ nameOf(line) }}</template>
            <LineFacts
              :line="line"
              :name="nameOf(line)"
              :kitchen="reading?.kitchen[i]"
              :stages="`${id}-stages`"
              :disabled="disabled"
              @change="(change) => set(line.key, change)"
            />
            <p v-for="field in ['ingredient', 'formula']" :key="field" class="wrong">
              {{ errorAt(`lines.${i}.${field}`) }}
            </p>
          </td>
          <td class="percent">
            <WorkedFigure
              v-if="reading?.percents[i]"
              :working="reading.percents[i] ?? null"
              :text="figure(reading.percents[i]?.value ?? 0, 1)"
              unit=""
            />
            <template v-else>–</template>
            <button
              type="button"
              class="mark"
              :disabled="disabled"
              :aria-pressed="isBase(line.key)"
              :title="`Count percentages on ${nameOf(line)}`"
              :aria-label="`Count percentages on ${nameOf(line)}`"
              @click="base(line.key)"
            >
              {{ isBase(line.key) ? '●' : '○' }}
            </button>
          </td>
          <td class="air">
            <NumberField
              :label="`Overrun of ${nameOf(line)}`"
              bare
              :step="5"
              optional
              placeholder="–"
              :value="line.overrun_percent || null"
              :disabled="disabled"
              :error="errorAt(`lines.${i}.overrun_percent`)"
              @commit="(v) => set(line.key, { overrun_percent: v ?? 0 })"
            />
          </td>
          <td class="brings"><LineBrings :brings="reading?.brings[i]" /></td>
          <td class="tools">
            <template v-if="!disabled">
              <button
                type="button"
                class="deed small"
                :aria-label="`Move ${nameOf(line)} up`"
                @click="move(i, -1)"
              >
                ↑
              </button>
              <button
                type="button"
                class="deed small"
                :aria-label="`Move ${nameOf(line)} down`"
                @click="move(i, 1)"
              >
                ↓
              </button>
              <button
                type="button"
                class="deed small"
                :aria-label="`Take out ${nameOf(line)}`"
                @click="remove(line.key)"
              >
                ×
              </button>
            </template>
          </td>
        </tr>
      </tbody>
      <tfoot>
        <tr v-if="lines.length">
          <td class="grams total">
            <strong>{{ total === undefined ? '–' : figure(total, 1) }}</strong>
          </td>
          <td colspan="4" class="quiet">
            grams weighed in all<template v-if="reading">
              · {{ figure(reading.finished_g, 1) }} g arrive</template
            >
          </td>
          <td class="brings" />
        </tr>
      </tfoot>
    </table>
    <datalist :id="`${id}-stages`">
      <option v-for="stage in stages" :key="stage" :value="stage" />
    </datalist>
    <BringsLegend v-if="lines.length" :reading="reading" />
    <TypedLine
      v-if="!disabled"
      class="typed"
      :within="id"
      :first="!lines.length && !disabled"
      @add="add"
      @remove="remove"
      @paste="(text) => (pasting = { text })"
    />
    <PasteLines
      v-if="pasting"
      :within="id"
      :start="pasting.text"
      @add="addAll"
      @close="pasting = null"
    />
    <p v-if="errorAt('lines')" class="wrong" role="alert">{{ errorAt('lines') }}</p>
  </div>
</template>

<style scoped>
table {
  border-collapse: collapse;
  table-layout: fixed;
  margin-bottom: 10px;
  width: 100%;
}

th {
  font-weight: 600;
  padding: 4px 8px;
  text-align: left;
}

tbody tr {
  border-top: 1px solid var(--rule);
}

tbody tr.base {
  background: var(--bronze-wash);
}

td {
  padding: 4px 8px;
}

.grams {
  width: 100px;
}

th.air {
  text-align: center;
}

.grams :deep(input) {
  font-size: 17px;
  text-align: right;
}

th.grams,
.total {
  padding-right: 20px;
  text-align: right;
}

.total {
  font-size: 17px;
}

.brings {
  width: 116px;
}

.percent {
  text-align: right;
  white-space: nowrap;
  width: 80px;
}

.mark {
  background: none;
  border: 0;
  color: var(--bronze-text);
  cursor: pointer;
  padding: 0 0 0 6px;
}

.air {
  white-space: nowrap;
  width: 72px;
}

.air :deep(input) {
  text-align: right;
}

.tools {
  text-align: right;
  white-space: nowrap;
  width: 96px;
}

.tools .deed {
  margin-left: 2px;
  min-width: 24px;
  padding-inline: 2px;
}

@media (max-width: 1100px) {
  td,
  th {
    padding-inline: 4px;
  }

  .grams {
    width: 88px;
  }

  .percent {
    width: 84px;
  }

  .brings {
    display: none;
  }

  .air {
    width: 84px;
  }
}

tfoot tr {
  border-top: 2px solid var(--leaf-strong);
}
</style>
