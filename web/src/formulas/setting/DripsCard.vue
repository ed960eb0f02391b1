<script setup lang="ts">
/** Drips down a round cake: counted, and what they weigh. */
import { keepPreviousData, useQuery } from '@tanstack/vue-query'
import { ref } from 'vue'

import { api, take } from '../../api/client'
import type { Drips } from '../../api/types'
import NumberField from '../../kit/NumberField.vue'
import WorkedFigure from '../../kit/WorkedFigure.vue'

const props = defineProps<{ id: string }>()
const diameter = ref(180)
const length = ref(40)
const spacing = ref(25)
const { data, error } = useQuery({
  shallow: true,
  queryKey: ['worked out', 'drips', () => props.id, diameter, length, spacing],
  queryFn: () => {
    const query = {
      diameter_mm: diameter.value,
      length_mm: length.value,
      spacing_mm: spacing.value,
    }
    const params = { path: { row_id: props.id }, query }
    return take<Drips>(api.GET('/api/formulas/{row_id}/drips', { params }))
  },
  placeholderData: keepPreviousData,
  retry: false,
})
</script>

<template>
  <section aria-label="Drips">
    <h3>Drips</h3>
    <div class="three">
      <NumberField
        label="Cake, across"
        unit="mm"
        :value="diameter"
        @commit="(v) => v !== null && (diameter = v)"
      />
      <NumberField
        label="One runs"
        unit="mm"
        :value="length"
        @commit="(v) => v !== null && (length = v)"
      />
      <NumberField
        label="One every"
        unit="mm"
        :value="spacing"
        @commit="(v) => v !== null && (spacing = v)"
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
