<script setup lang="ts">
/** Drips down a round cake: counted, and what they weigh. */
import { ref } from 'vue'

import { house } from '../../api/house'
import EntryField from '../../kit/EntryField.vue'
import WorkedFigure from '../../kit/WorkedFigure.vue'
import { useDrips } from './useSetting'

const props = defineProps<{ id: string }>()
const fields = house.value.formulas.drips
const asked = ref(Object.fromEntries(fields.map((one) => [one.name, one.first ?? 0])))
const { data, error } = useDrips(
  () => props.id,
  () => asked.value,
)
</script>

<template>
  <section aria-label="Drips">
    <h3>Drips</h3>
    <div class="three">
      <EntryField
        v-for="one in fields"
        :key="one.name"
        :words="one"
        :entry="asked"
        @commit="(v) => v !== null && (asked = { ...asked, [one.name]: v })"
      />
    </div>
    <p v-if="error" class="wrong" role="alert">{{ error.message }}</p>
    <p v-else-if="data">
      <WorkedFigure :working="data.count" unit="" /> drips of
      <WorkedFigure :working="data.one" /> take <WorkedFigure :working="data.all" />
    </p>
  </section>
</template>

<style scoped>
section {
  display: grid;
  gap: 6px;
}

.three {
  display: grid;
  gap: 8px;
  grid-template-columns: repeat(2, minmax(0, 1fr));
}

.three > :first-child {
  grid-column: span 2;
}
</style>
