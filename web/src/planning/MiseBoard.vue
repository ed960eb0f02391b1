<script setup lang="ts">
/** Everything that is set out, by where it is kept; what takes time first. */
import { computed, ref } from 'vue'

import { house } from '../api/house'
import type { MiseLine } from '../api/types'
import { figure } from '../kit/format'
import SwitchRow from '../kit/SwitchRow.vue'
import WorkedFigure from '../kit/WorkedFigure.vue'
import { STORES } from './usePlanning'

const props = defineProps<{ lines: MiseLine[] }>()
const WAYS = [
  { value: 'store', label: 'By store' },
  { value: 'how', label: 'By what is done' },
  { value: 'formula', label: 'By formula' },
] as const
const by = ref<'store' | 'how' | 'formula'>('store')
const HOW: Record<string, string> = {
  bloom: 'To bloom',
  soften: 'To soften',
  count: 'To count',
  weigh: 'To weigh',
}
interface Row {
  key: string
  line: MiseLine
  mass_g: number
}
interface Group {
  key: string
  title: string
  rows: Row[]
}
const whole = (line: MiseLine): Row => ({ key: line.ingredient, line, mass_g: line.mass.value })

const groups = computed<Group[]>(() => {
  const all = props.lines
  if (by.value === 'store') {
    return STORES.map((store) => ({
      key: store || 'anywhere',
      title: house.value.pantry.stores[store] ?? 'Kept where you keep it',
      rows: all.filter((one) => (one.store ?? '') === store).map(whole),
    }))
  }
  if (by.value === 'how') {
    return Object.entries(HOW).map(([how, title]) => ({
      key: how,
      title,
      rows: all.filter((one) => one.how === how).map(whole),
    }))
  }
  const names = new Map(all.flatMap((one) => one.uses.map((use) => [use.formula, use.name])))
  return [...names].map(([formula, title]) => ({
    key: formula,
    title: title ?? '',
    rows: all.flatMap((line) =>
      line.uses
        .filter((use) => use.formula === formula)
        .map((use) => ({ key: `${line.ingredient}/${formula}`, line, mass_g: use.mass_g })),
    ),
  }))
})
const shown = computed(() => groups.value.filter((one) => one.rows.length))
const aside = (line: MiseLine) => {
  if (line.how === 'bloom') return 'bloom in cold water'
  if (line.how === 'soften') return 'out of the cold in good time'
  return line.counted ? `${figure(line.counted, 1)} × ${line.piece}` : ''
}
</script>

<template>
  <SwitchRow
    label="How it is sorted"
    :value="by"
    :choices="[...WAYS]"
    @change="(v) => (by = v as typeof by)"
  />
  <section v-for="group in shown" :key="group.key" class="group" :aria-label="group.title">
    <h2>{{ group.title }}</h2>
    <ul class="list">
      <li v-for="row in group.rows" :key="row.key">
        <label>
          <input type="checkbox" />
          <span>{{ row.line.name }}</span>
        </label>
        <span class="quiet">{{ aside(row.line) }}</span>
        <WorkedFigure
          v-if="by !== 'formula'"
          :working="row.line.mass"
          :text="figure(row.mass_g, row.mass_g < 100 ? 1 : 0)"
        />
        <strong v-else>{{ figure(row.mass_g, row.mass_g < 100 ? 1 : 0) }} g</strong>
      </li>
    </ul>
  </section>
</template>

<style scoped>
.group {
  break-inside: avoid;
  margin-top: 14px;
}

li {
  align-items: baseline;
  border-top: 1px solid var(--rule);
  display: grid;
  gap: 4px 14px;
  grid-template-columns: minmax(0, 1fr) auto 110px;
  padding: 5px 0;
}

li > :last-child {
  justify-self: end;
}

h2::first-letter {
  text-transform: uppercase;
}

label {
  align-items: baseline;
  cursor: pointer;
  display: flex;
  gap: 9px;
}

input:checked + span {
  color: var(--muted);
  text-decoration: line-through;
}
</style>
