<script setup lang="ts">
/** The lines: grams, what, percent, air. Arrow keys and Enter walk down the column. */
import { computed, defineAsyncComponent, nextTick, ref } from 'vue'

import type { FormulaEntry, Reading } from '../api/types'
import { useCommands } from '../shell/commands'
import FormulaRow from './FormulaRow.vue'
import GridHead from './GridHead.vue'
import GridSum from './GridSum.vue'
import TypedLine from './TypedLine.vue'
import { type LineEntry, movedLine, withLine, withoutLine } from './lines'
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

const put = (next: LineEntry[]) => emit('change', { lines: next })
const set = (key: string, change: Partial<LineEntry>) => put(withLine(lines.value, key, change))

function remove(key: string) {
  emit('change', {
    lines: withoutLine(lines.value, key),
    base_lines: bases.value.filter((one) => one !== key),
  })
}

const add = (typed: TypedResult) =>
  put([...lines.value, { overrun_percent: 0, stage: '', strained_percent: 0, ...typed }])

function addAll(more: LineEntry[]) {
  pasting.value = null
  put([...lines.value, ...more])
}

/** Percentages refer to all marked lines together, such as the chocolate; without any, to all. */
function base(key: string) {
  const others = bases.value.filter((one) => one !== key)
  emit('change', { base_lines: isBase(key) ? others : [...others, key] })
}

function move(at: number, by: 1 | -1) {
  const next = movedLine(lines.value, at, by)
  if (next) put(next)
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
      <GridHead :has-base="bases.length > 0" />
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
    <GridSum v-if="lines.length" :reading="reading" />
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

/* Always in view: the next line can be typed wherever one has scrolled to. */
.typed {
  background: var(--porcelain);
  bottom: -16px;
  padding: 6px 0 4px;
  position: sticky;
  z-index: 4;
}
</style>
