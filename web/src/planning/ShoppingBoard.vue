<script setup lang="ts">
/** What is bought: packs, what is left of them, what they cost. */
import { computed } from 'vue'

import type { MiseLine, Working } from '../api/types'
import { figure } from '../kit/format'
import WorkedFigure from '../kit/WorkedFigure.vue'

const props = defineProps<{ lines: MiseLine[]; cost: Working | null }>()
const bought = computed(() => props.lines.filter((one) => one.bought))
const loose = computed(() => props.lines.filter((one) => !one.bought))
</script>

<template>
  <table class="shop" aria-label="Shopping">
    <thead>
      <tr class="eyebrow">
        <th scope="col">what</th>
        <th scope="col" class="num">needed</th>
        <th scope="col">packs</th>
        <th scope="col" class="num">left</th>
        <th scope="col" class="num">price</th>
      </tr>
    </thead>
    <tbody>
      <tr v-for="one in bought" :key="one.ingredient">
        <th scope="row">{{ one.name }}</th>
        <td class="num"><WorkedFigure :working="one.mass" /></td>
        <td>
          <strong>{{ one.bought?.number }}</strong> × {{ one.bought?.pack }}
        </td>
        <td class="num quiet">{{ figure(one.bought?.left_g ?? 0, 0) }} g</td>
        <td class="num">
          {{ one.bought?.price == null ? '–' : one.bought.price.toFixed(2) }}
        </td>
      </tr>
    </tbody>
    <tfoot v-if="cost !== null">
      <tr>
        <th scope="row" colspan="4">In all, as far as prices are known</th>
        <td class="num">
          <WorkedFigure :working="cost" :text="cost.value.toFixed(2)" />
        </td>
      </tr>
    </tfoot>
  </table>
  <p v-if="loose.length" class="quiet">
    No pack is known of
    {{ loose.map((one) => `${one.name}, ${figure(one.mass.value, 0)} g`).join('; ') }}.
  </p>
</template>

<style scoped>
.shop {
  border-collapse: collapse;
  width: 100%;
}

th {
  font-weight: 400;
  text-align: left;
}

th,
td {
  padding: 5px 10px 5px 0;
}

tbody tr,
tfoot tr {
  border-top: 1px solid var(--rule);
}

.num {
  text-align: right;
  white-space: nowrap;
}
</style>
