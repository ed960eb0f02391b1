<script setup lang="ts">
/** A dessert as it hangs at the bench: its cut, its sizes, how it is built, what it contains. */
import { computed } from 'vue'

import type { DessertSheet } from '../api/types'
import StageAmounts from '../desserts/StageAmounts.vue'
import StageDrawing from '../desserts/StageDrawing.vue'
import TopDrawing from '../desserts/TopDrawing.vue'
import AllergenWords from '../kit/AllergenWords.vue'
import type { Look } from '../kit/flavors'
import { inShort } from '../kit/units'
import WorkedFigure from '../kit/WorkedFigure.vue'
import PaperCut from './PaperCut.vue'
import type { Range } from './paging'
import { roundScale } from './scale'

const props = defineProps<{
  dessert: DessertSheet
  /** Those of its sizes that are built alike. */
  sizes: DessertSheet['sizes']
  lookOf: (formula: string) => Look
  /** What of it stands here: its head, and stages; all of it if left out. */
  lines?: Range | undefined
  steps?: Range | undefined
}>()
/** Of several sizes the cuts take the whole width. */
const PAPER = computed(() => ({ wide: props.sizes.length > 1 ? 182 : 128, high: 62 }))
const first = computed(() => props.sizes[0])
const cuts = computed(() => props.sizes.map((one) => one.solved.cut))
/** They stand beside each other at one scale. */
const smaller = computed(() => roundScale(cuts.value, PAPER.value))
const continued = computed(() => Boolean(props.lines?.[0]) || Boolean(props.steps?.[0]))
const stages = computed(() => {
  const all = first.value?.solved.stages ?? []
  const [from, to] = props.steps ?? [0, all.length]
  return all.slice(from, to).map((stage, i) => ({ stage, at: from + i }))
})
/** What is said of a stage, once where it is the same in every size. */
function each(at: number, what: 'says' | 'wait_says') {
  const found = new Map<string, string[]>()
  for (const { says, solved } of props.sizes) {
    const said = solved.stages[at]?.[what] ?? ''
    found.set(said, [...(found.get(said) ?? []), says])
  }
  return [...found].map(([said, sizes]) => ({
    said,
    of: found.size > 1 ? `${sizes.join(', ')}: ` : '',
  }))
}
const ends = computed(() => !props.steps || props.steps[1] === first.value?.solved.stages.length)
</script>

<template>
  <article v-if="first" class="dessert">
    <header>
      <h1>{{ dessert.name }} <small v-if="continued">continued</small></h1>
      <p class="made">{{ sizes.map((one) => `${one.count} × ${one.says}`).join(' + ') }}</p>
    </header>
    <div
      v-if="!lines || lines[0] < lines[1]"
      :class="['head', { several: sizes.length > 1 }]"
      data-line
    >
      <div class="cuts">
        <PaperCut
          v-for="(cut, i) in cuts"
          :key="i"
          :cut="cut"
          :smaller="smaller"
          :look-of="lookOf"
        />
      </div>
      <div class="plan">
        <TopDrawing :cut="first.solved.cut" :look-of="lookOf" />
      </div>
      <table class="facts" aria-label="Sizes">
        <thead>
          <tr>
            <td class="scale">1 : {{ smaller }}</td>
            <th scope="col">make</th>
            <th scope="col">height</th>
            <th scope="col">weighs</th>
            <th scope="col">portions</th>
            <th v-if="sizes.some((one) => one.solved.liner)" scope="col">liner strip</th>
            <th v-if="sizes.some((one) => one.trays)" scope="col">trays</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="(one, i) in sizes" :key="i">
            <th scope="row">{{ one.says }}</th>
            <td>
              <strong>{{ one.count }}</strong>
            </td>
            <td><WorkedFigure :working="one.solved.height" /></td>
            <td><WorkedFigure :working="one.solved.finished" /></td>
            <td>
              {{ one.solved.portions }}
              <template v-if="one.solved.portion">
                of <WorkedFigure :working="one.solved.portion" />
              </template>
            </td>
            <td v-if="sizes.some((other) => other.solved.liner)">
              <WorkedFigure
                v-if="one.solved.liner"
                :working="one.solved.liner"
                v-bind="inShort(one.solved.liner)"
              />
            </td>
            <td v-if="sizes.some((other) => other.trays)">
              <WorkedFigure v-if="one.trays" :working="one.trays" unit="" />
            </td>
          </tr>
        </tbody>
      </table>
    </div>
    <table v-if="stages.length" class="stages" aria-label="Building">
      <thead>
        <tr>
          <td colspan="2"></td>
          <td></td>
          <th v-for="(one, i) in sizes" :key="i" scope="col">
            {{ sizes.length > 1 ? one.says : 'each' }}
          </th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="{ stage, at } in stages" :key="at" data-step>
          <td class="number">{{ at + 1 }}</td>
          <td class="drawn">
            <StageDrawing :cut="first.solved.cut" :stage="stage" :look-of="lookOf" />
          </td>
          <td class="says">
            <strong>{{ stage.title }}</strong>
            <span v-for="one in each(at, 'says')" :key="one.said" :class="{ own: one.of }">
              <span class="of">{{ one.of }}</span>{{ one.said }}
            </span>
            <span v-for="(one, i) in stage.ahead" :key="i" class="ahead">before: {{ one }}</span>
            <template v-for="one in each(at, 'wait_says')" :key="one.said">
              <span v-if="one.said" :class="['wait', { cold: stage.cold }]">
                then {{ one.of }}{{ one.said }}
              </span>
            </template>
          </td>
          <td v-for="(size, i) in sizes" :key="i" class="amount">
            <StageAmounts :stage="size.solved.stages[at]" :solved="size.solved" :named="!i" />
          </td>
        </tr>
      </tbody>
    </table>
    <footer v-if="ends">
      <AllergenWords :declared="dessert.declared" />
      <p class="codes">
        Traces are not covered. Eggs, cooled creams and sugar work: hold to your own food-safety
        plan and local codes first.
      </p>
    </footer>
  </article>
</template>

<style scoped>
.dessert {
  padding-bottom: 1.6em;
}

header {
  align-items: baseline;
  border-bottom: 2px solid var(--fern);
  display: flex;
  gap: 1.2em;
  justify-content: space-between;
  padding-bottom: 0.2em;
}

h1 {
  font-size: 2.2em;
}

small {
  color: var(--muted);
  font: 0.5em var(--face-text);
}

.made {
  font-size: 1.1em;
}

.head {
  align-items: end;
  display: grid;
  gap: 0.4em 1.2em;
  grid-template-columns: minmax(0, 1fr) auto;
  padding-block: 0.7em 0.5em;
}

.cuts {
  align-items: end;
  display: flex;
  gap: 0.8em;
}

.plan {
  align-self: center;
  width: 44mm;
}

.plan :deep(svg) {
  max-height: 44mm;
}

.facts,
.several .cuts {
  grid-column: 1 / -1;
}

.several .cuts {
  justify-content: space-between;
}

.several .facts {
  align-self: start;
  grid-area: 2 / 1;
}

.several .plan {
  grid-area: 2 / 2;
  width: 30mm;
}

table {
  border-collapse: collapse;
  width: 100%;
}

th,
td {
  font-weight: 400;
  padding: 0.18em 0.6em 0.18em 0;
  text-align: left;
}

thead th,
.scale {
  color: var(--muted);
  font-size: 0.88em;
}

tbody tr {
  border-top: 1px solid var(--rule);
}

.stages td {
  vertical-align: top;
}

.stages thead th {
  text-align: right;
}

.number {
  color: var(--bronze-text);
  font-weight: 700;
  width: 1.6em;
}

.drawn {
  width: 25mm;
}

.drawn :deep(svg) {
  max-height: 11mm;
}

.says {
  line-height: 1.25;
}

.own,
.ahead,
.wait {
  display: block;
}

.ahead {
  color: var(--bronze-text);
}

.wait {
  font-weight: 600;
}

.wait.cold {
  color: var(--frost-text);
}

.amount {
  line-height: 1.2;
  padding-left: 0.8em;
  padding-right: 0;
  text-align: right;
  white-space: nowrap;
  width: 1%;
}

.amount :deep(strong) {
  font-size: 1.3em;
}

.of {
  color: var(--muted);
  font-size: 0.92em;
}

.of {
  padding-right: 0.6em;
}

footer {
  border-top: 1px solid var(--rule);
  line-height: 1.3;
  padding-top: 0.4em;
}

.codes {
  color: var(--muted);
  font-size: 0.9em;
}

.dessert :deep(.figure) {
  border-bottom-color: transparent;
}

.dessert :deep(.unit) {
  font-size: 1em;
}
</style>
