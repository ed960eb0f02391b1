<script setup lang="ts">
/** Everything read of a formula: what it will do, what is in it, what it costs and declares. */
import { computed } from 'vue'

import type { GaugeShown, Reading } from '../api/types'
import { figure } from '../kit/format'
import WorkedFigure from '../kit/WorkedFigure.vue'
import GaugeRow from './GaugeRow.vue'

const props = defineProps<{ reading: Reading }>()
const of = (section: GaugeShown['gauge']['section']) =>
  props.reading.gauges.filter((one) => one.gauge.section === section)
const SECTIONS = [
  { section: 'does', title: 'What it will do' },
  { section: 'contains', title: 'What is in it, in 100 g' },
  { section: 'costs', title: 'Label and bill' },
] as const
/** Everybody something is wanted of, each once. */
const wanted = computed(() => [...new Set(props.reading.gauges.flatMap((one) => one.gauge.needs))])
const allergens = computed(() => Object.entries(props.reading.declared.contains))
const WORDS: Record<string, string> = { yolk: 'yolks', white: 'whites', whole: 'eggs' }
const takenBy = ({ takers }: Reading['leftovers'][number]) =>
  takers.length ? `: could go into ${takers.join(', ')}.` : '.'
</script>

<template>
  <section v-for="{ section, title } in SECTIONS" :key="section" :aria-label="title">
    <template v-if="of(section).length">
      <h3>{{ title }}</h3>
      <ul class="list">
        <GaugeRow v-for="one in of(section)" :key="one.gauge.code" :shown="one" />
      </ul>
    </template>
  </section>
  <p v-if="wanted.length" class="quiet">
    Unknown without {{ wanted.join(', ') }}: enter make-up and price in the pantry.
  </p>
  <section aria-label="Allergens">
    <p v-if="allergens.length">
      Contains
      <template v-for="([name, from], i) in allergens" :key="name"
        >{{ i ? '; ' : '' }}<strong>{{ name }}</strong> ({{ from.join(', ') }})</template
      >.
    </p>
    <p v-if="reading.declared.unknown.length" class="wrong">
      Allergens not entered for {{ reading.declared.unknown.join(', ') }}.
    </p>
    <p class="quiet small">
      Of the fourteen of the EU; traces are not covered. Local codes and your own plan go first.
    </p>
  </section>
  <section v-if="reading.eggs" aria-label="Eggs">
    <p>
      <WorkedFigure :working="reading.eggs" :text="figure(reading.eggs.value)" unit="" /> eggs to
      crack<template v-if="!reading.leftovers.length">, nothing left over.</template>
    </p>
    <p v-for="left in reading.leftovers" :key="left.part" class="quiet">
      {{ `${figure(left.count, 1)} ${WORDS[left.part]} left, ` }}
      <WorkedFigure plain :working="left.working" />{{ takenBy(left) }}
    </p>
  </section>
</template>

<style scoped>
section p + p {
  margin-top: 3px;
}

.small {
  font-size: 13px;
}
</style>
