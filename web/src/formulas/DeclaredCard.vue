<script setup lang="ts">
/** What a formula has to declare, and the eggs it takes. */
import { computed } from 'vue'

import { house } from '../api/house'
import type { Reading } from '../api/types'
import { figure } from '../kit/format'
import WorkedFigure from '../kit/WorkedFigure.vue'

const props = defineProps<{ reading: Reading }>()
const allergens = computed(() => Object.entries(props.reading.declared.contains))
const takenBy = ({ takers }: Reading['leftovers'][number]) =>
  takers.length ? `: could go into ${takers.join(', ')}.` : '.'
</script>

<template>
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
      {{ `${figure(left.count, 1)} ${house.pantry.eggs_left[left.part]} left, ` }}
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
