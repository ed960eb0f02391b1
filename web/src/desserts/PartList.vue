<script setup lang="ts">
/** Parts from the top down. Dragged, or by keys: arrows walk, Alt with an arrow moves, Delete takes out. */
import { nextTick, ref } from 'vue'

import type { FormulaLook } from '../api/types'
import { figure } from '../kit/format'
import LookSwatch from '../kit/LookSwatch.vue'
import { useDropped } from '../kit/useDropped'
import { type Chosen, type PartRow, sameChoice } from './parts'

const props = defineProps<{
  rows: PartRow[]
  chosen: Chosen | null
  formulaOf: (id: string) => FormulaLook | undefined
  disabled: boolean
}>()
const emit = defineEmits<{
  choose: [chosen: Chosen]
  move: [chosen: Chosen, by: 1 | -1]
  /** A row dragged from one place of the list to another. */
  drop: [from: number, to: number]
  remove: [chosen: Chosen]
}>()
const list = ref<HTMLElement | null>(null)
useDropped(
  list,
  () => !props.disabled,
  (from, to) => emit('drop', from, to),
)

const nameOf = (row: PartRow) => row.ownName || (props.formulaOf(row.formula)?.name ?? 'Unknown')
const keyOf = (row: Chosen) => `${row.part}/${row.layer}`

function focus(row: Chosen | undefined) {
  if (!row) return
  emit('choose', row)
  void nextTick(() => list.value?.querySelector<HTMLElement>(`[data-row="${keyOf(row)}"]`)?.focus())
}

function arrow(row: PartRow, by: 1 | -1, event: KeyboardEvent) {
  if (event.altKey && !props.disabled) {
    emit('move', row, by)
    focus(row)
    return
  }
  focus(props.rows[props.rows.findIndex((one) => sameChoice(one, row)) + by])
}
</script>

<template>
  <ol ref="list" class="list" aria-label="Parts from the top down">
    <li
      v-for="row in rows"
      :key="keyOf(row)"
      :class="{ chosen: sameChoice(chosen, row), inside: row.layer !== null }"
    >
      <button
        type="button"
        class="row"
        :data-row="keyOf(row)"
        :aria-pressed="sameChoice(chosen, row)"
        @click="emit('choose', row)"
        @keydown.up.prevent="arrow(row, -1, $event)"
        @keydown.down.prevent="arrow(row, 1, $event)"
        @keydown.delete="!disabled && emit('remove', row)"
      >
        <LookSwatch :formula="formulaOf(row.formula)" />
        <span class="name">
          <strong>{{ nameOf(row) }}</strong>
          <span class="quiet">{{ row.says }}</span>
        </span>
        <strong v-if="row.thick !== null" class="height">{{ figure(row.thick, 1) }} mm</strong>
        <span v-else class="quiet height">–</span>
      </button>
      <span v-if="sameChoice(chosen, row) && !disabled" class="tools">
        <button
          type="button"
          class="deed small"
          aria-label="Move up"
          @click="emit('move', row, -1)"
        >
          ↑
        </button>
        <button
          type="button"
          class="deed small"
          aria-label="Move down"
          @click="emit('move', row, 1)"
        >
          ↓
        </button>
        <button type="button" class="deed small warn" @click="emit('remove', row)">Take out</button>
      </span>
    </li>
  </ol>
</template>

<style scoped>
li {
  border: 1px solid transparent;
  border-radius: var(--round);
}

li.chosen {
  background: var(--bronze-wash);
  border-color: var(--bronze);
}

li.inside {
  box-shadow: inset 3px 0 0 var(--leaf-strong);
}

.row {
  align-items: center;
  background: none;
  border: 0;
  cursor: pointer;
  display: flex;
  gap: 10px;
  padding: 4px 9px;
  text-align: left;
  width: 100%;
}

li:global(.carried) {
  background: var(--leaf);
}

.row:hover {
  background: rgb(255 255 255 / 50%);
}

.name {
  display: grid;
  flex: 1;
  line-height: 1.18;
  min-width: 0;
  overflow-wrap: anywhere;
}

.height {
  white-space: nowrap;
}

@media (max-width: 1100px) {
  .row {
    gap: 7px;
    padding: 6px;
  }

  .tools {
    padding-left: 6px;
  }
}

.tools {
  display: flex;
  white-space: nowrap;
  gap: 6px;
  padding: 0 9px 5px 45px;
}
</style>
