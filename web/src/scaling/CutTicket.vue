<script setup lang="ts">
/** What the sheets take, what is left of them, and how well they are used. */
import { computed, ref } from 'vue'

import { house } from '../api/house'
import type { CutPlan } from '../api/types'
import { figure } from '../kit/format'
import SwitchRow from '../kit/SwitchRow.vue'
import WorkedFigure from '../kit/WorkedFigure.vue'
import type { CutAsked } from './useScaling'

const props = defineProps<{ id: string; plan: CutPlan; asked: CutAsked; searching: boolean }>()
const paper = ref(house.value.scaling.papers[0] ?? 'A4')
const weighed = computed(() => props.plan.weighed)
const use = computed(() => house.value.scaling.trim.find((one) => one.use === props.asked.trim))
const ways = computed(() =>
  props.plan.pieces.map((one, at) => ({
    ...one,
    way: props.plan.ways[at],
    on: props.plan.on_one[at],
    most: props.plan.bounds[at],
    source: props.plan.bound_sources[at],
  })),
)
const file = (sheet: number, as: 'pdf' | 'svg') => {
  const query = new URLSearchParams({ as, paper: paper.value, turns: String(props.plan.turn) })
  Object.entries(props.asked).forEach(([name, value]) => query.set(name, String(value)))
  return `/api/desserts/${props.id}/cut-plan/${sheet}/full-size?${query}`
}
</script>

<template>
  <section class="slip" aria-label="What it takes">
    <h2>
      {{ plan.number }} {{ plan.number === 1 ? 'sheet' : 'sheets' }}
      <span class="quiet"
        >{{ figure(plan.raw.length_mm / 10, 1) }} × {{ figure(plan.raw.width_mm / 10, 1) }} cm</span
      >
    </h2>
    <ul class="list ways">
      <li v-for="(one, at) in ways" :key="at">
        <strong>{{ one.count }} × {{ one.says }}</strong>
        <span>{{ one.name }}</span>
        <span>
          a sheet gives <b>{{ one.on }}</b>, {{ one.way }};
          <template v-if="one.on === one.most">no way gives more</template>
          <template v-else>at most {{ one.most }} by the bound</template>
        </span>
        <small>{{ one.source }}</small>
      </li>
    </ul>
    <table class="takes" aria-label="Weights">
      <tbody>
        <tr>
          <th scope="row">One sheet</th>
          <td><WorkedFigure :working="weighed.sheet" /></td>
        </tr>
        <tr>
          <th scope="row">All of them</th>
          <td><WorkedFigure :working="weighed.sheets" /></td>
        </tr>
        <tr>
          <th scope="row">Pieces</th>
          <td><WorkedFigure :working="weighed.pieces" /></td>
        </tr>
        <tr v-if="weighed.offcut?.value">
          <th scope="row">Stays whole</th>
          <td><WorkedFigure :working="weighed.offcut" /></td>
        </tr>
        <tr>
          <th scope="row">
            Trim, {{ use?.title }} <em>{{ use?.says }}</em>
          </th>
          <td>
            <WorkedFigure :working="weighed.trim" /><br />
            <WorkedFigure :working="weighed.share" plain />
          </td>
        </tr>
        <tr v-if="weighed.again">
          <th scope="row">
            Rolled again, one sheet gives <em>so {{ weighed.first }} are rolled first</em>
          </th>
          <td><WorkedFigure :working="weighed.again" /></td>
        </tr>
      </tbody>
    </table>
    <h3>At full size</h3>
    <SwitchRow
      label="Paper"
      :value="paper"
      :choices="house.scaling.papers.map((one) => ({ value: one, label: one }))"
      @change="(v) => (paper = v)"
    />
    <ul class="list files">
      <li v-for="(one, at) in plan.sheets" :key="at">
        Sheet {{ at + 1 }}{{ one.alike > 1 ? ` (${one.alike} alike)` : '' }}
        <a :href="file(at, 'pdf')" target="_blank" rel="noopener">PDF</a>
        <a :href="file(at, 'svg')" target="_blank" rel="noopener">SVG</a>
      </li>
    </ul>
  </section>
</template>

<style scoped>
h2 .quiet {
  font-family: var(--face-text);
  font-size: 15px;
}

h3 {
  margin: 14px 0 6px;
}

.ways {
  margin: 8px 0 10px;
}

.ways li {
  border-top: 1px solid var(--rule);
  display: grid;
  font-size: 14px;
  line-height: 1.3;
  padding: 6px 0;
}

.ways small {
  color: var(--muted);
  font-size: 12px;
}

th em {
  color: var(--muted);
  display: block;
  font-size: 13px;
  font-style: normal;
}

.files li {
  display: flex;
  gap: 12px;
  padding: 4px 0;
}
</style>
