<script setup lang="ts">
/** What a formula has to declare, and the eggs it takes. */
import { house } from '../api/house'
import type { Reading } from '../api/types'
import AllergenWords from '../kit/AllergenWords.vue'
import { figure } from '../kit/format'
import WorkedFigure from '../kit/WorkedFigure.vue'

defineProps<{ reading: Reading }>()
const takenBy = ({ takers }: Reading['leftovers'][number]) =>
  takers.length ? `: could go into ${takers.join(', ')}.` : '.'
</script>

<template>
  <section aria-label="Allergens">
    <AllergenWords :declared="reading.declared" />
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
