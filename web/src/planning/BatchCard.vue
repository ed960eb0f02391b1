<script setup lang="ts">
/** One formula for the whole order: its batches side by side, what each weighs and feeds. */
import { computed } from 'vue'

import type { MadeFormula } from '../api/types'
import { figure, weighed } from '../kit/format'
import LookSwatch from '../kit/LookSwatch.vue'
import WorkedFigure from '../kit/WorkedFigure.vue'
import { columnsOf, feeds } from '../sheets/columns'

const props = defineProps<{ made: MadeFormula }>()
const sheet = computed(() => props.made.page.sheet)
const several = computed(() => props.made.batches.length > 1)
const columns = computed(() => columnsOf(props.made.batches))
</script>

<template>
  <article class="card">
    <header>
      <LookSwatch :formula="{ flavor: made.page.flavor, kind: made.page.kind }" :size="22" />
      <h2>{{ sheet.name }}</h2>
      <span class="grams">
        <WorkedFigure :working="made.page.batch" :text="figure(sheet.batch_g, 0)" unit="g" />
        <span v-if="several" class="quiet">in {{ made.batches.length }} batches</span>
      </span>
    </header>
    <p v-if="made.way" class="wrong">{{ made.way }}.</p>
    <p v-else-if="made.limit" class="quiet">{{ made.limit }}.</p>
    <table>
      <thead>
        <tr class="eyebrow">
          <th scope="col">ingredient</th>
          <th v-if="!several" scope="col" class="num">grams</th>
          <th v-for="one in several ? columns : []" :key="one.key" scope="col" class="num">
            {{ one.title }}
          </th>
          <th v-if="several" scope="col" class="num">in all</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="line in sheet.lines" :key="line.key">
          <th scope="row">
            {{ line.name }} <span v-if="line.formula" class="quiet">(above)</span>
          </th>
          <td v-for="one in columns" :key="one.key" class="num">
            <strong>{{ weighed(one.batch.lines[line.key] ?? 0, line.step_g) }}</strong>
          </td>
          <td v-if="several" class="num quiet">{{ weighed(line.mass_g, line.step_g) }}</td>
        </tr>
      </tbody>
    </table>
    <ol class="list feeds">
      <li v-for="(one, at) in made.batches" :key="at">
        <span v-if="several" class="eyebrow">batch {{ at + 1 }}</span>
        <span v-if="one.feeds.length">for {{ feeds(one) }}</span>
        <span v-if="one.vessels.length" class="quiet">in {{ one.vessels.join(', ') }}</span>
      </li>
    </ol>
    <p v-if="made.left_g >= 0.5" class="left">{{ figure(made.left_g, 0) }} g are left over.</p>
  </article>
</template>

<style scoped>
.card {
  background: var(--paper);
  border: 1px solid var(--rule);
  border-radius: var(--round);
  break-inside: avoid;
  padding: 12px 16px;
}

header {
  align-items: center;
  display: flex;
  gap: 10px;
}

h2 {
  flex: 1;
}

.grams {
  font-size: 17px;
  white-space: nowrap;
}

table {
  border-collapse: collapse;
  margin-top: 6px;
  width: 100%;
}

th {
  font-weight: 400;
  padding: 3px 8px 3px 0;
  text-align: left;
}

tbody tr {
  border-top: 1px solid var(--rule);
}

.num {
  padding-left: 14px;
  text-align: right;
  white-space: nowrap;
}

td.num {
  font-size: 16px;
}

.feeds {
  display: grid;
  font-size: 14px;
  gap: 2px;
  margin-top: 8px;
}

.feeds li {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 10px;
}

.left {
  color: var(--amber);
  font-size: 14px;
}
</style>
