<script setup lang="ts">
/** What it takes, for how many, and what is wrong. */
import { computed, defineAsyncComponent, ref } from 'vue'

import type { Finding, Working, WorkedOut } from '../api/types'
import FindingCard from '../kit/FindingCard.vue'
import { figure } from '../kit/format'
import NumberField from '../kit/NumberField.vue'
import WorkedFigure from '../kit/WorkedFigure.vue'
import BiteCard from './BiteCard.vue'
import { type Chosen, sameChoice } from './parts'

const SwapInAll = defineAsyncComponent(() => import('./SwapInAll.vue'))
const swapping = ref(false)
const props = defineProps<{
  id: string
  name: string
  worked: WorkedOut
  count: number
  countError?: string | undefined
  /** Why the figures are of an earlier drawing than the one that is seen. */
  stale?: string | undefined
  /** Whether an entry is refused and not saved. */
  refused?: boolean
  chosen: Chosen | null
  disabled: boolean
}>()
const emit = defineEmits<{ count: [count: number]; choose: [chosen: Chosen] }>()

const solved = computed(() => props.worked.solved)
const several = computed(() => props.worked.sizes.length > 1)
const shown = computed(() => props.worked.sizes.find((one) => one.key === props.worked.key))

/** Strips are long: in meters. Everything else in its own unit. */
function measured({ value, unit }: Working) {
  if (unit === 'mm') return { text: figure(value / 1000, 2), unit: 'm' }
  return { text: figure(value, unit === 'pieces' ? 1 : 0), unit }
}

function show(finding: Finding) {
  if (finding.part) emit('choose', { part: finding.part, layer: null })
}
</script>

<template>
  <section class="slip" aria-label="What it takes">
    <header>
      <h2>What it takes</h2>
      <div class="count">
        <NumberField
          label="How many desserts"
          bare
          :value="count"
          :disabled="disabled"
          :error="countError"
          @commit="(v) => v !== null && emit('count', v)"
        />
        <span class="quiet">{{
          several ? `× ${shown?.says}` : count === 1 ? 'dessert' : 'desserts'
        }}</span>
      </div>
    </header>
    <p v-if="stale" class="stale" role="status">
      These figures are of the drawing before: {{ stale }}
    </p>
    <section class="findings" aria-label="Findings" aria-live="polite">
      <FindingCard
        v-for="(finding, i) in solved.findings"
        :key="`${finding.code}/${finding.part}/${i}`"
        :finding="finding"
        :chosen="finding.part != null && finding.part === chosen?.part"
        @choose="show(finding)"
      >
        <RouterLink v-if="finding.formula" class="deed small" :to="`/formulas/${finding.formula}`">
          Open the formula
        </RouterLink>
        <button v-else-if="finding.part" type="button" class="deed small" @click="show(finding)">
          Show it on the cut
        </button>
      </FindingCard>
      <p v-if="refused" class="wrong">An entry is refused: what is seen is not saved.</p>
      <p v-else-if="!solved.findings.length && solved.parts.length && !stale" class="clear">
        Nothing stands against it.
      </p>
    </section>
    <table>
      <tbody>
        <tr
          v-for="part in solved.parts"
          :key="`${part.part}/${part.layer}`"
          :class="{ chosen: sameChoice(chosen, part) }"
        >
          <th scope="row">
            <button type="button" class="name" @click="emit('choose', part)">
              {{ part.name }}
            </button>
          </th>
          <td class="measure">
            <WorkedFigure :working="part.measure" v-bind="measured(part.measure)" plain />
          </td>
          <td>
            <WorkedFigure :working="part.make" />
          </td>
        </tr>
      </tbody>
      <tfoot v-if="solved.parts.length">
        <tr>
          <th scope="row">Finished weight</th>
          <td class="quiet measure">one</td>
          <td><WorkedFigure :working="solved.finished" /></td>
        </tr>
        <tr v-if="solved.finished_all && solved.count > 1" class="all">
          <th scope="row">All {{ solved.count }}</th>
          <td></td>
          <td>
            <WorkedFigure :working="solved.finished_all" />
          </td>
        </tr>
      </tfoot>
    </table>
    <h3 v-if="several">The whole order</h3>
    <p v-if="several" class="quiet">
      {{ worked.sizes.map((one) => `${one.count} × ${one.says}`).join(' + ') }}
    </p>
    <table v-if="several" aria-label="The whole order">
      <tbody>
        <tr v-for="take in worked.takes" :key="take.formula">
          <th scope="row">{{ take.name }}</th>
          <td><WorkedFigure :working="take.make" /></td>
        </tr>
      </tbody>
    </table>
    <dl>
      <div>
        <dt>Height</dt>
        <dd><WorkedFigure :working="solved.height" /></dd>
      </div>
      <div>
        <dt>Surface</dt>
        <dd><WorkedFigure :working="solved.surface" /></dd>
      </div>
      <div>
        <dt>Liner strip</dt>
        <dd><WorkedFigure :working="solved.liner" /></dd>
      </div>
    </dl>
    <div class="deeds">
      <RouterLink class="deed main" :to="`/desserts/${id}/sheets`">Scaled sheets</RouterLink>
      <BiteCard :id="id" :size="worked.key" />
      <button v-if="!disabled" type="button" class="deed" @click="swapping = true">
        Swap an ingredient in all of it
      </button>
    </div>
    <SwapInAll v-if="swapping" :id="id" :name="name" @close="swapping = false" />
  </section>
</template>

<style scoped>
header {
  align-items: center;
  display: flex;
  gap: 10px;
  justify-content: space-between;
  margin-bottom: 10px;
}

h3 {
  margin-top: 16px;
}

.stale {
  background: var(--amber-wash);
  border: 1px solid var(--amber-rule);
  border-radius: var(--round);
  font-size: 14px;
  margin-bottom: 8px;
  padding: 7px 10px;
}

.count {
  align-items: baseline;
  white-space: nowrap;
  display: flex;
  gap: 6px;
}

.count :deep(.field) {
  width: 54px;
}

table {
  border-collapse: collapse;
  width: 100%;
}

tr {
  border-bottom: 1px solid var(--rule);
}

tr.chosen {
  box-shadow: inset 3px 0 0 var(--bronze);
}

tr.chosen th {
  padding-left: 8px;
}

th {
  font-weight: 400;
  line-height: 1.25;
  padding: 5px 6px 5px 0;
  text-align: left;
}

tfoot th {
  font-weight: 700;
}

tfoot tr.all {
  border: 0;
}

.name {
  background: none;
  border: 0;
  cursor: pointer;
  display: block;
  padding: 0;
  text-align: left;
}

td {
  font-size: 17px;
  padding: 5px 0;
  text-align: right;
  vertical-align: baseline;
  white-space: nowrap;
}

td.measure {
  font-size: 13px;
  padding-right: 10px;
}

dl {
  display: grid;
  gap: 4px;
  grid-template-columns: repeat(3, auto);
  justify-content: space-between;
  margin: 12px 0;
}

dt {
  color: var(--muted);
  font-size: 13px;
}

dd {
  margin: 0;
}

.deeds {
  display: grid;
  gap: 6px;
}

.deeds :deep(> * > .deed),
.deeds :deep(> .deed) {
  min-height: 36px;
  width: 100%;
}

.findings {
  display: grid;
  gap: 8px;
  margin-bottom: 8px;
}

.findings .deed {
  background: var(--paper);
  margin-top: 6px;
  text-decoration: none;
}

@media (max-width: 1100px) {
  tr {
    display: grid;
    grid-template-columns: 1fr auto;
    padding: 5px 0;
  }

  th,
  td {
    padding-block: 0;
  }

  tr.chosen {
    padding-left: 8px;
  }

  tr.chosen th {
    padding-left: 0;
  }

  td.measure {
    grid-area: 2 / 1;
    text-align: left;
  }

  td:empty {
    display: none;
  }
}

.clear {
  color: var(--muted);
  font-size: 14px;
}
</style>
