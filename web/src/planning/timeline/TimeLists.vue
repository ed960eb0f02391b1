<script setup lang="ts">
/** The same plan as lists: by person, what is pulled when, by oven and store, read aloud. */
import { computed } from 'vue'

import type { Board } from '../../api/types'

export type ListView = 'people' | 'pull' | 'stations' | 'told'
const props = defineProps<{ board: Board; told: readonly string[]; view: ListView }>()
const emit = defineEmits<{ pick: [task: string] }>()
interface Line {
  key: string
  at: number
  hours: string
  title: string
  says: string
  task: string
}
const lanes = computed(() =>
  props.board.lanes.filter((one) => (one.kind === 'person') === (props.view === 'people')),
)
function linesOf(lane: string): Line[] {
  const bars = props.board.bars.filter((one) => one.lane === lane)
  const stays = props.board.stays.filter((one) => one.lane === lane)
  return [
    ...bars.map((one) => ({ ...one, key: one.task, at: one.since_min })),
    ...stays.map((one) => ({ ...one, at: one.since_min })),
  ].sort((a, b) => a.at - b.at)
}
</script>

<template>
  <div class="lists">
    <ol v-if="view === 'told'" class="told">
      <li v-for="(one, at) in told" :key="at">{{ one }}</li>
    </ol>
    <table v-else-if="view === 'pull'">
      <caption class="unseen">
        What comes out of the cold, by time
      </caption>
      <thead>
        <tr class="eyebrow">
          <th scope="col">when</th>
          <th scope="col">what</th>
          <th scope="col">out of</th>
          <th scope="col">for</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="(one, at) in board.pulls" :key="at">
          <td class="hour">{{ one.hour }}</td>
          <th scope="row">{{ one.title }}</th>
          <td>{{ one.out_of }}</td>
          <td class="quiet">{{ one.says }}</td>
        </tr>
      </tbody>
    </table>
    <section v-for="lane in view === 'people' || view === 'stations' ? lanes : []" :key="lane.key">
      <h2>
        {{ lane.title }} <small class="quiet">{{ lane.says }}</small>
      </h2>
      <table>
        <tbody>
          <tr v-for="one in linesOf(lane.key)" :key="one.key">
            <td class="hour">{{ one.hours }}</td>
            <th scope="row">
              <button type="button" class="plain" @click="emit('pick', one.task)">
                {{ one.title }}
              </button>
            </th>
            <td class="quiet hour">{{ one.says }}</td>
          </tr>
        </tbody>
      </table>
    </section>
  </div>
</template>

<style scoped>
.lists {
  display: grid;
  gap: 18px;
  padding-bottom: 24px;
}

section {
  break-inside: avoid;
}

table {
  border-collapse: collapse;
  width: 100%;
}

tr {
  border-top: 1px solid var(--rule);
}

th,
td {
  padding: 4px 12px 4px 0;
  text-align: left;
  vertical-align: top;
}

th {
  font-weight: 600;
}

.hour {
  font-variant-numeric: tabular-nums;
  white-space: nowrap;
  width: 1%;
}

.plain {
  background: none;
  border: 0;
  color: inherit;
  cursor: pointer;
  font: inherit;
  min-height: 24px;
  padding: 0;
  text-align: left;
}

.plain:hover {
  text-decoration: underline;
}

.told {
  display: grid;
  gap: 3px;
}

@media (pointer: coarse) {
  .plain {
    min-height: 40px;
  }
}
</style>
