<script setup lang="ts">
/** One line of the grid, 36 px high; its tools lie over the row that is chosen. */
import { computed } from 'vue'

import type { Reading } from '../api/types'
import { figure } from '../kit/format'
import NumberField from '../kit/NumberField.vue'
import WorkedFigure from '../kit/WorkedFigure.vue'
import { useWorking } from '../kit/working'
import LineBrings from './LineBrings.vue'
import LineTools from './LineTools.vue'
import type { LineEntry } from './lines'

const props = defineProps<{
  line: LineEntry
  place: number
  name: string
  reading: Reading | undefined
  isBase: boolean
  chosen: boolean
  stages: string
  errorAt: (field: string) => string | undefined
  disabled: boolean
}>()
const emit = defineEmits<{
  change: [change: Partial<LineEntry>]
  base: []
  move: [by: 1 | -1]
  remove: []
  enter: []
  choose: []
}>()
const { show } = useWorking()
const said = computed(() => props.reading?.kitchen[props.place] ?? null)
const strained = computed(() => {
  const percent = props.line.strained_percent
  return percent === 100 ? 'strained out' : `${figure(percent ?? 0, 1)} % strained out`
})
const faults = () =>
  ['ingredient', 'formula', 'stage', 'note', 'strained_percent', 'soaked'].flatMap(
    (field) => props.errorAt(`lines.${props.place}.${field}`) ?? [],
  )
</script>

<template>
  <tr :class="{ base: isBase, chosen }" @click="emit('choose')" @focusin="emit('choose')">
    <td class="grams">
      <NumberField
        :label="`Grams of ${name}`"
        bare
        plain
        :value="line.mass_g"
        :disabled="disabled"
        :error="errorAt(`lines.${place}.mass_g`)"
        @commit="(v) => v !== null && emit('change', { mass_g: v })"
        @enter="emit('enter')"
      />
    </td>
    <td class="what">
      <span class="one-line">
        <RouterLink v-if="line.formula" :to="`/formulas/${line.formula}`" :title="name">{{
          name
        }}</RouterLink>
        <span v-else class="name" :title="name">{{ name }}</span>
        <span v-if="line.note" class="note">{{ line.note }}</span>
        <span v-if="line.stage" class="stage">{{ line.stage }}</span>
        <span v-if="line.soaked" class="strained">soaked {{ line.soaked }} ×</span>
        <span v-if="line.strained_percent" class="strained">{{ strained }}</span>
      </span>
    </td>
    <td class="percent">
      <WorkedFigure
        v-if="reading?.percents[place]"
        :working="reading.percents[place] ?? null"
        :text="figure(reading.percents[place]?.value ?? 0, 1)"
        unit=""
      />
      <template v-else>–</template>
      <span v-if="isBase" class="mark" title="Percentages count on it">●</span>
    </td>
    <td class="air">
      <NumberField
        :label="`Overrun of ${name}`"
        bare
        plain
        :step="5"
        optional
        placeholder="–"
        :value="line.overrun_percent || null"
        :disabled="disabled"
        :error="errorAt(`lines.${place}.overrun_percent`)"
        @commit="(v) => emit('change', { overrun_percent: v ?? 0 })"
      />
    </td>
    <td class="kitchen">
      <button
        v-if="said && line.mass_g"
        type="button"
        class="measure"
        :title="`How ${said.text} comes about`"
        @click="show(said.working)"
      >
        {{ said.text }}
      </button>
    </td>
    <td class="brings">
      <LineBrings :brings="reading?.brings[place]" />
      <LineTools
        v-if="!disabled"
        class="tools"
        :line="line"
        :name="name"
        :is-base="isBase"
        :stages="stages"
        @change="(change) => emit('change', change)"
        @base="emit('base')"
        @move="(by) => emit('move', by)"
        @remove="emit('remove')"
      />
    </td>
  </tr>
  <tr v-if="faults().length" class="faults">
    <td colspan="6">
      <p v-for="fault in faults()" :key="fault" class="wrong">{{ fault }}</p>
    </td>
  </tr>
</template>

<style scoped>
tr {
  border-top: 1px solid var(--rule);
  position: relative;
}

tr.faults {
  border-top: 0;
}

tr.base {
  background: var(--bronze-wash);
}

tr.chosen {
  box-shadow: inset 3px 0 0 var(--bronze);
}

td {
  height: 36px;
  padding: 0 8px;
}

.what {
  max-width: 0;
}

.one-line {
  align-items: baseline;
  display: flex;
  gap: 8px;
  white-space: nowrap;
}

/* The name comes first; what is said beside it takes what room is left. */
.name,
.one-line a {
  flex: 0 0 auto;
  max-width: 100%;
  overflow: hidden;
  text-overflow: ellipsis;
}

.note,
.stage,
.strained {
  color: var(--muted);
  flex: 0 1 auto;
  font-size: 13px;
  min-width: 0;
  overflow: hidden;
  text-overflow: ellipsis;
}

.stage {
  color: var(--bronze-text);
}

.strained {
  color: var(--frost-text);
  text-decoration: underline;
}

.grams :deep(input),
.air :deep(input) {
  text-align: right;
}

.grams :deep(input) {
  font-size: 17px;
}

/* Four digits have to be seen whole. */
.air :deep(input) {
  padding-inline: 2px;
}

.mark {
  color: var(--bronze-text);
  margin-left: 3px;
}

.percent {
  text-align: right;
  white-space: nowrap;
}

.kitchen {
  max-width: 0;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}

.measure {
  background: none;
  border: 0;
  border-bottom: 1px dotted var(--leaf-strong);
  color: var(--muted);
  cursor: help;
  font-size: 13px;
  max-width: 100%;
  overflow: hidden;
  padding: 0;
  text-overflow: ellipsis;
}

/* Over the row's right end, so that no row grows or jumps. */
.tools {
  bottom: 0;
  opacity: 0;
  pointer-events: none;
  position: absolute;
  right: 0;
  top: 0;
}

tr:hover .tools,
tr:focus-within .tools,
tr.chosen .tools {
  opacity: 1;
  pointer-events: auto;
}

@media (hover: none) {
  tr:not(.chosen) .tools {
    opacity: 0;
    pointer-events: none;
  }

  td {
    height: 44px;
  }
}

@media (max-width: 1100px) {
  td {
    padding-inline: 4px;
  }
}

@media (max-width: 760px) {
  .kitchen,
  .air,
  .percent {
    display: none;
  }
}
</style>
