<script setup lang="ts">
/** One formula as it hangs at the bench: what is weighed, batch beside batch, and how it is made. */
import { computed } from 'vue'

import type { MadeFormula, SheetPage } from '../api/types'
import { figure, weighed } from '../kit/format'
import WorkedFigure from '../kit/WorkedFigure.vue'
import { chunks, columnsOf, feeds } from './columns'
import LineWords from './LineWords.vue'
import type { Range } from './paging'

const props = defineProps<{
  page: SheetPage
  /** Left out where it is one batch and nothing is said of it. */
  made?: MadeFormula | undefined
  number?: number | undefined
  /** What of it stands here; all of it if left out. */
  lines?: Range | undefined
  steps?: Range | undefined
}>()
const MOST_ABREAST = 5
const sheet = computed(() => props.page.sheet)
const columns = computed(() => columnsOf(props.made?.batches ?? []))
const several = computed(() => (props.made?.batches.length ?? 0) > 1)
/** As many batches as stand side by side on paper; the others below, their lines named again. */
const bands = computed(() => chunks(several.value ? columns.value : [], MOST_ABREAST))
const rows = computed(() =>
  (bands.value.length ? bands.value : [[]]).flatMap((band) =>
    sheet.value.lines.map((line) => ({ band, line })),
  ),
)
const lines = computed(() => rows.value.slice(...(props.lines ?? [])))
const tables = computed(() =>
  [...new Set(lines.value.map(({ band }) => band))].map((band) => {
    const own = lines.value.filter((one) => one.band === band).map(({ line }) => line)
    return { columns: band, lines: own, ends: own.at(-1) === sheet.value.lines.at(-1) }
  }),
)
const steps = computed(() => {
  const [from, to] = props.steps ?? [0, props.page.method.length]
  return props.page.method.slice(from, to).map((step, i) => ({
    step,
    number: from + i + 1,
    told: props.page.told[from + i],
    wait: props.page.waits[from + i],
  }))
})
const continued = computed(() => Boolean(props.lines?.[0] || props.steps?.[0]))
/** What is weighed stands beside its method where neither needs the whole width. */
const abreast = computed(() => !several.value && lines.value.length > 0)
/** When a line goes in is told where not all go in at once. */
const staged = computed(() => new Set(sheet.value.lines.map((line) => line.stage)).size > 1)
const uses = computed(() =>
  sheet.value.uses.map((use) => `${use.purpose} ${figure(use.mass_g, 0)} g`).join(', '),
)
const only = computed(() => (several.value ? undefined : props.made?.batches[0]))
const last = computed(() => !props.lines || props.lines[1] === rows.value.length)
</script>

<template>
  <article :class="['formula', { abreast }]">
    <header>
      <h2>
        <span v-if="number" class="number">{{ number }}</span> {{ sheet.name }}
        <small v-if="continued">continued</small>
      </h2>
      <p v-if="!continued" class="for">for {{ uses }}</p>
    </header>
    <p v-if="made?.way && !continued" class="wrong said">{{ made.way }}.</p>
    <p v-else-if="made?.limit && !continued" class="said">{{ made.limit }}.</p>
    <p v-if="only?.vessels.length && !continued" class="said">in {{ only.vessels.join(', ') }}</p>
    <div class="body">
      <table
        v-for="(table, at) in tables"
        :key="at"
        :class="{ several }"
        aria-label="What is weighed"
      >
        <thead v-if="several">
          <tr>
            <td></td>
            <th v-for="one in table.columns" :key="one.key" scope="col" colspan="2">
              {{ one.title }}
              <span class="feeds">{{ feeds(one.batch) }}</span>
              <span v-if="one.batch.vessels.length" class="feeds"
                >in {{ one.batch.vessels.join(', ') }}</span
              >
            </th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="line in table.lines" :key="line.key" data-line>
            <th v-if="several" scope="row">
              {{ line.name }}
              <LineWords :line="line" :note="page.notes[line.key]" :staged="staged" />
            </th>
            <template v-if="several">
              <template v-for="one in table.columns" :key="one.key">
                <td class="box"><span class="tick" aria-hidden="true"></span></td>
                <td class="grams">
                  <strong>{{ weighed(one.batch.lines[line.key] ?? 0, line.step_g) }}</strong>
                  <span v-if="one.batch.kitchen[line.key]" class="kitchen">{{
                    one.batch.kitchen[line.key]
                  }}</span>
                </td>
              </template>
            </template>
            <template v-else>
              <td class="box"><span class="tick" aria-hidden="true"></span></td>
              <td class="grams">
                <WorkedFigure
                  :working="page.workings[line.key] ?? null"
                  :text="weighed(line.mass_g, line.step_g)"
                  unit=""
                />
              </td>
              <th scope="row">
                {{ line.name }}
                <span class="kitchen">
                  <WorkedFigure
                    v-if="page.kitchen[line.key]"
                    plain
                    :working="page.kitchen[line.key]?.working ?? null"
                    :text="page.kitchen[line.key]?.text ?? ''"
                    unit=""
                  />
                </span>
                <LineWords :line="line" :note="page.notes[line.key]" :staged="staged" />
              </th>
            </template>
          </tr>
        </tbody>
        <tfoot v-if="table.ends">
          <tr v-if="several">
            <th scope="row">weighed in grams</th>
            <td v-for="one in table.columns" :key="one.key" class="grams" colspan="2">
              {{ weighed(one.batch.weighed_g, 0.1) }}
            </td>
          </tr>
          <tr v-else>
            <td class="grams" colspan="2">
              <WorkedFigure :working="page.batch" :text="weighed(sheet.batch_g, 0.1)" unit="" />
            </td>
            <th scope="row">grams weighed</th>
          </tr>
          <tr v-if="last && (sheet.eggs || (made?.left_g ?? 0) >= 0.5)" class="also">
            <td :colspan="several ? 2 * table.columns.length + 1 : 3">
              <template v-if="sheet.eggs">
                <WorkedFigure
                  :working="sheet.eggs.working"
                  :text="String(sheet.eggs.cracked)"
                  unit="eggs to crack"
                /><template v-if="several"> for all batches</template>.
              </template>
              <template v-if="(made?.left_g ?? 0) >= 0.5">
                {{ figure(made?.left_g ?? 0, 0) }} g are left over.
              </template>
            </td>
          </tr>
        </tfoot>
      </table>
      <ol v-if="steps.length" class="list" aria-label="Method">
        <li v-for="one in steps" :key="one.number" data-step>
          <span class="number">{{ one.number }}</span>
          <div>
            <strong v-if="one.step.stage">{{ one.step.stage }}: </strong>{{ one.step.text }}
            <span v-if="one.told || one.step.sign || one.wait" class="facts">
              <strong>{{ [one.told, one.wait].filter(Boolean).join(' · ') }}</strong>
              <template v-if="one.step.sign"> until {{ one.step.sign }}</template>
            </span>
            <span v-if="one.step.caution" class="caution">{{ one.step.caution }}</span>
          </div>
        </li>
      </ol>
      <p v-else-if="!page.method.length" class="said">No method written yet.</p>
    </div>
  </article>
</template>

<style scoped>
.formula {
  container-type: inline-size;
  padding-bottom: 1.6em;
}

header {
  align-items: baseline;
  border-bottom: 2px solid var(--fern);
  display: flex;
  flex-wrap: wrap;
  gap: 0 1.2em;
  justify-content: space-between;
  margin-bottom: 0.3em;
  padding-bottom: 0.15em;
}

h2 {
  font-size: 1.6em;
}

small {
  color: var(--muted);
  font: 0.6em var(--face-text);
}

.number {
  color: var(--bronze-text);
}

.for,
.said {
  color: var(--muted);
  font-size: 0.9em;
}

.said.wrong {
  color: var(--brick);
}

.body {
  display: grid;
  gap: 0.8em 1.8em;
  grid-template-columns: minmax(0, 1fr);
}

table {
  align-self: start;
  border-collapse: collapse;
  width: 100%;
}

tbody tr,
tfoot tr {
  border-bottom: 1px solid var(--rule);
}

tfoot tr:not(.also) {
  border-top: 1.5px solid var(--ink);
}

th {
  font-weight: 400;
  line-height: 1.2;
  padding: 0.28em 0.5em 0.28em 0;
  text-align: left;
}

thead th {
  font-weight: 700;
  text-align: right;
  vertical-align: bottom;
}

td {
  line-height: 1.2;
  padding: 0.28em 0;
}

.grams {
  padding-right: 0.9em;
  text-align: right;
  white-space: nowrap;
  width: 1%;
}

.grams strong,
.grams :deep(strong) {
  font-size: 1.5em;
}

thead ~ tbody .box {
  padding-left: 1.6em;
}

thead ~ tbody .grams,
thead ~ tfoot .grams {
  padding-right: 0;
}

tfoot .grams,
tfoot .grams :deep(strong) {
  font-size: 1em;
  font-weight: 700;
}

.box {
  padding-right: 0.5em;
  width: 1%;
}

.tick {
  border: 1.2px solid var(--muted);
  border-radius: 2px;
  display: block;
  height: 1em;
  width: 1em;
}

.kitchen,
.feeds {
  color: var(--muted);
  font-size: 0.88em;
}

/* Batches are as wide as each other, whatever is said in them. */
.several {
  table-layout: fixed;
}

.several .grams {
  white-space: normal;
  width: auto;
}

.several .box {
  width: 2.8em;
}

.several thead td {
  width: 26%;
}

td .kitchen,
.feeds {
  display: block;
  font-weight: 400;
}

.also td {
  font-size: 0.95em;
}

ol {
  align-self: start;
}

li {
  display: grid;
  gap: 0.6em;
  grid-template-columns: 1.1em minmax(0, 1fr);
  line-height: 1.3;
  padding: 0.28em 0;
}

li > .number {
  font-weight: 700;
}

.facts,
.caution {
  display: block;
}

.facts {
  color: var(--frost-text);
}

.caution {
  border-left: 3px solid var(--amber-rule);
  color: var(--amber);
  font-size: 0.95em;
  padding-left: 0.5em;
}

.formula :deep(.figure) {
  border-bottom-color: transparent;
}

.formula :deep(.unit) {
  font-size: 1em;
}

/* A phone or a ticket has no room for two columns. */
@container (min-width: 560px) {
  .abreast .body {
    grid-template-columns: minmax(0, 9fr) minmax(0, 11fr);
  }
}
</style>
