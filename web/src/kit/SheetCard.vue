<script setup lang="ts">
/** One scaled sheet: what is weighed, what it is for, how it is made. */
import type { SheetPage, Step } from '../api/types'
import { figure, weighed } from './format'
import WorkedFigure from './WorkedFigure.vue'

defineProps<{ page: SheetPage; number?: number }>()

/** How hot, how long, with what, and until when. */
const facts = (told: string | undefined, { sign }: Step) =>
  [told, sign && `until ${sign}`].filter(Boolean).join(' · ')
</script>

<template>
  <article class="sheet">
    <header>
      <h2>
        <span v-if="number" class="number">{{ number }}</span> {{ page.sheet.name }}
      </h2>
      <p class="for">
        for
        {{ page.sheet.uses.map((use) => `${use.purpose} ${figure(use.mass_g, 0)} g`).join(', ') }}
      </p>
    </header>
    <table>
      <thead>
        <tr class="eyebrow">
          <th scope="col" class="grams">grams</th>
          <th scope="col">ingredient</th>
          <th scope="col" class="side">in the kitchen</th>
          <th scope="col" class="side">%</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="line in page.sheet.lines" :key="line.key">
          <td class="grams">
            <WorkedFigure
              :working="page.workings[line.key] ?? null"
              :text="weighed(line.mass_g, line.step_g)"
              unit=""
            />
          </td>
          <td>
            {{ line.name }}
            <span v-if="line.formula" class="quiet">(its own sheet)</span>
            <span v-if="line.stage" class="quiet">{{ ` at ${line.stage}` }}</span>
            <span v-if="line.overrun_percent" class="quiet">
              whipped to {{ figure(line.overrun_percent, 0) }} % overrun
            </span>
          </td>
          <td class="side quiet">
            <WorkedFigure
              v-if="page.kitchen[line.key]"
              plain
              :working="page.kitchen[line.key]?.working ?? null"
              :text="page.kitchen[line.key]?.text ?? ''"
              unit=""
            />
          </td>
          <td class="side quiet">{{ line.percent === null ? '–' : figure(line.percent, 1) }}</td>
        </tr>
      </tbody>
      <tfoot>
        <tr>
          <td class="grams">
            <WorkedFigure :working="page.batch" :text="weighed(page.sheet.batch_g, 0.1)" unit="" />
          </td>
          <td colspan="3">
            weighed<template v-if="page.sheet.eggs"
              >,
              <WorkedFigure
                :working="page.sheet.eggs.working"
                :text="String(page.sheet.eggs.cracked)"
                unit=""
              />
              eggs to crack</template
            >; {{ figure(page.sheet.finished_g, 0) }} g finished<template
              v-if="Math.abs(page.sheet.spare_g) >= 0.5"
              >, {{ figure(page.sheet.spare_g, 0) }} g spare from whole eggs</template
            >
            ·
            <WorkedFigure
              :working="page.size"
              :text="`× ${figure(page.sheet.factor, 3)}`"
              unit=""
            />
            · rounding
            {{ page.sheet.drift_g >= 0 ? '+' : '−' }}{{ figure(Math.abs(page.sheet.drift_g), 2) }} g
          </td>
        </tr>
      </tfoot>
    </table>
    <ol v-if="page.method.length">
      <li v-for="(step, i) in page.method" :key="i">
        <strong v-if="step.stage">{{ step.stage }}: </strong>{{ step.text }}
        <span v-if="facts(page.told[i], step)" class="facts">
          {{ facts(page.told[i], step) }}
        </span>
        <span v-if="step.caution" class="caution">{{ step.caution }}</span>
      </li>
    </ol>
    <p v-else class="quiet">No method written yet.</p>
  </article>
</template>

<style scoped>
.sheet {
  background: var(--paper);
  border: 1px solid var(--rule);
  border-radius: 12px;
  break-inside: avoid;
  padding: 18px 22px;
}

header {
  align-items: baseline;
  display: flex;
  flex-wrap: wrap;
  gap: 4px 16px;
  justify-content: space-between;
  margin-bottom: 8px;
}

.number {
  color: var(--bronze-text);
}

.facts {
  color: var(--frost-text);
}

.facts,
.caution {
  display: block;
  font-size: 14px;
}

.caution {
  color: var(--amber);
}

.for {
  color: var(--muted);
  font-size: 14px;
}

table {
  border-collapse: collapse;
  width: 100%;
}

th {
  font-weight: 600;
  text-align: left;
}

tbody tr {
  border-top: 1px solid var(--rule);
}

tfoot tr {
  border-top: 2px solid var(--leaf-strong);
}

td,
th {
  padding: 4px 8px 4px 0;
}

.grams {
  font-size: 17px;
  padding-right: 18px;
  text-align: right;
  white-space: nowrap;
  width: 92px;
}

th.grams {
  font-size: inherit;
}

.side {
  text-align: right;
  white-space: nowrap;
}

tfoot td {
  font-size: 14px;
}

ol {
  display: grid;
  gap: 4px;
  margin: 12px 0 0;
  padding-left: 22px;
}

li::marker {
  color: var(--bronze-text);
  font-weight: 700;
}

@media print {
  .sheet {
    border: 0;
    border-bottom: 1px solid var(--ink);
    border-radius: 0;
    padding: 0 0 6mm;
    margin-bottom: 6mm;
  }

  .sheet :deep(.figure) {
    border: 0;
  }
}
</style>
