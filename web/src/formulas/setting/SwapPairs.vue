<script setup lang="ts">
/** A swap side by side: lines in pairs, the readings that decide, what the method changes. */
import { computed } from 'vue'

import type { Swapped } from '../../api/types'
import { figure } from '../../kit/format'
import WorkedFigure from '../../kit/WorkedFigure.vue'

const props = defineProps<{ swap: Swapped; name: string }>()
type Gauge = Swapped['gauges'][number]
const moved = computed(() => props.swap.gauges.filter((one) => one.moved))
/** The unit that is said in every column. */
const plain = (one: Gauge) => (one.beside === null ? {} : { unit: one.beside })
const kept = computed(() => props.swap.kept.filter((one) => one.kept))
const lost = computed(() => props.swap.kept.filter((one) => !one.kept))
const lower = (words: { name: string }[]) => words.map((one) => one.name.toLowerCase()).join(', ')
</script>

<template>
  <div class="pairs">
    <table :aria-label="`${name}, side by side`">
      <thead>
        <tr class="eyebrow">
          <th scope="col">line</th>
          <th scope="col" class="number">now</th>
          <th scope="col" class="number">straight</th>
          <th scope="col" class="number best">rebalanced</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="one in swap.lines" :key="one.key">
          <th scope="row">
            <strong v-if="one.added">{{ one.after }}, added</strong>
            <template v-else-if="one.before !== one.after"
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
          <td class="number"><slot name="straight" /></td>
          <td class="number best"><slot name="rebalanced" /></td>
        </tr>
      </tbody>
      <tbody v-if="moved.length">
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
    <section v-if="swap.notes.length" aria-label="What the method changes">
      <h3>What the method changes</h3>
      <ul class="list notes">
        <li v-for="(note, i) in swap.notes" :key="i">
          <span class="eyebrow">{{ note.about }}</span> {{ note.says }}
        </li>
      </ul>
    </section>
  </div>
</template>

<style scoped>
.pairs {
  display: grid;
  gap: 12px;
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
