<script lang="ts">
export type MeasureRow = Record<string, number>
</script>

<script setup lang="ts">
/** Rows of the same few measures: points of a wall from the floor up. */
import { computed } from 'vue'

import { numberAt } from '../api/house'
import type { FormWords } from '../api/types'
import NumberField from '../kit/NumberField.vue'
import { scaleOf } from '../kit/units'

const props = defineProps<{
  table: FormWords['tables'][number]
  rows: MeasureRow[]
  errorAt: (field: string) => string | undefined
  disabled: boolean
}>()
const emit = defineEmits<{ change: [rows: MeasureRow[]] }>()

/** A wall is read from the top down, as it stands; an outline in its order. */
const shown = computed(() => {
  const all = [...props.rows.entries()]
  return props.table.rises ? all.reverse() : all
})

function set(at: number, field: string, value: number | null) {
  if (value === null) return
  emit(
    'change',
    props.rows.map((row, i) => (i === at ? { ...row, [field]: value } : row)),
  )
}

const columns = computed(() => props.table.fields.length)

/** One more at the end, higher than the last by what the last is above the one before. */
function add() {
  const [before, last] = props.rows.slice(-2)
  if (!before || !last) return
  const [first, ...others] = props.table.fields
  const kept = (name: string) => (props.table.kept.includes(name) ? (last[name] ?? 0) : 0)
  const next = Object.fromEntries(others.map(({ name }) => [name, kept(name)]))
  if (first && props.table.rises)
    next[first.name] = 2 * (last[first.name] ?? 0) - (before[first.name] ?? 0)
  if (!props.table.rises) Object.assign(next, between(last, props.rows[0] ?? last))
  emit('change', [...props.rows, next])
}

/** Half way from the last corner to the first. */
const between = (last: MeasureRow, first: MeasureRow) =>
  Object.fromEntries(
    props.table.fields.map(({ name }) => [
      name,
      Math.round(((last[name] ?? 0) + (first[name] ?? 0)) / 2),
    ]),
  )

const remove = (at: number) =>
  emit(
    'change',
    props.rows.filter((_, i) => i !== at),
  )
</script>

<template>
  <fieldset>
    <legend class="eyebrow">{{ table.label }}</legend>
    <button
      v-if="!disabled && rows.length < table.most"
      type="button"
      class="deed small"
      @click="add"
    >
      {{ table.rises ? 'One more at the top' : 'One more corner' }}
    </button>
    <p class="row heads eyebrow" aria-hidden="true">
      <span v-for="one in table.fields" :key="one.name">
        {{ one.label }}, {{ scaleOf(one.unit).unit }}
      </span>
    </p>
    <div :class="['rows', { long: rows.length > 8 }]">
      <div v-for="[at, row] in shown" :key="at" class="row">
        <NumberField
          v-for="one in table.fields"
          :key="one.name"
          :label="`${one.label}, point ${at + 1}`"
          bare
          :unit="one.unit"
          :value="numberAt(row, one)"
          :disabled="disabled"
          :error="errorAt(`${at}.${one.name}`)"
          @commit="(value) => set(at, one.name, value)"
        />
        <button
          v-if="!disabled && rows.length > table.fewest"
          type="button"
          class="deed small"
          :aria-label="`Take out point ${at + 1}`"
          @click="remove(at)"
        >
          ×
        </button>
      </div>
    </div>
  </fieldset>
</template>

<style scoped>
fieldset {
  border: 0;
  display: grid;
  gap: 6px;
  margin: 0;
  padding: 0;
}

.row {
  align-items: end;
  display: grid;
  gap: 6px;
  grid-template-columns: repeat(v-bind(columns), minmax(0, 1fr)) 28px;
}

.rows {
  display: grid;
  gap: 6px;
}

.rows.long {
  max-height: 260px;
  overflow-y: auto;
}

/* The unit stands once, above. */
.row :deep(.ant-input-suffix) {
  display: none;
}

.heads {
  line-height: 1.2;
  margin: 0;
}

legend {
  padding: 0;
}
</style>
