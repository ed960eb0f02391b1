<script setup lang="ts">
/** The lines: grams, what, percent, air. Arrow keys and Enter walk down the column. */
import { computed, defineAsyncComponent, nextTick, ref } from 'vue'

import type { FormulaEntry, Reading } from '../api/types'
import { figure } from '../kit/format'
import { useCommands } from '../shell/commands'
import FormulaRow from './FormulaRow.vue'
import BringsLegend from './BringsLegend.vue'
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
const chosen = ref<string | null>(null)
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
          <th scope="col" class="percent">{{ bases.length ? '% of ●' : '% of all' }}</th>
          <th scope="col" class="air" title="Overrun: air beaten in">air, %</th>
          <th scope="col" class="kitchen">in the kitchen</th>
          <th scope="col" class="brings">what it brings</th>
        </tr>
      </thead>
      <tbody>
        <FormulaRow
          v-for="(line, i) in lines"
          :key="line.key"
          :line="line"
          :place="i"
          :name="nameOf(line)"
          :reading="reading"
          :is-base="isBase(line.key)"
          :chosen="chosen === line.key"
          :stages="`${id}-stages`"
          :error-at="errorAt"
          :disabled="disabled"
          @change="(change) => set(line.key, change)"
          @base="base(line.key)"
          @move="(by) => move(i, by)"
          @remove="remove(line.key)"
          @enter="down(i)"
          @choose="chosen = line.key"
        />
      </tbody>
    </table>
    <p v-if="lines.length" class="sum">
      <strong>{{ total === undefined ? '–' : figure(total, 1) }}</strong>
      <span class="quiet">
        g weighed<template v-if="reading">
          · {{ figure(reading.finished_g, 1) }} g finished</template
        >
      </span>
      <BringsLegend :reading="reading" />
    </p>
    <datalist :id="`${id}-stages`">
      <option v-for="stage in stages" :key="stage" :value="stage" />
    </datalist>
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
  width: 100%;
}

th {
  font-weight: 600;
  padding: 4px 8px;
  text-align: left;
}

.grams {
  width: 92px;
}

th.grams {
  padding-right: 18px;
  text-align: right;
}

.sum {
  align-items: baseline;
  border-top: 2px solid var(--leaf-strong);
  display: flex;
  flex-wrap: wrap;
  gap: 4px 16px;
  padding: 5px 8px;
}

.sum strong {
  font-size: 17px;
  padding-right: 2px;
  text-align: right;
  width: 52px;
}

.sum :deep(.legend) {
  justify-content: flex-end;
  margin: 0 0 0 auto;
}

th.percent,
th.air {
  text-align: right;
}

.percent {
  width: 78px;
}

.air {
  width: 56px;
}

.kitchen {
  width: 138px;
}

.brings {
  width: 108px;
}

/* Always in view: the next line can be typed wherever one has scrolled to. */
.typed {
  background: var(--porcelain);
  bottom: -16px;
  padding: 6px 0 4px;
  position: sticky;
  z-index: 4;
}

@media (max-width: 1100px) {
  th {
    padding-inline: 4px;
  }

  .kitchen {
    width: 104px;
  }

  .brings {
    width: 74px;
  }

  .percent {
    width: 64px;
  }

  .air {
    width: 52px;
  }
}

@media (max-width: 760px) {
  .kitchen,
  .air,
  .percent {
    display: none;
  }

  .brings {
    width: 92px;
  }
}
</style>
