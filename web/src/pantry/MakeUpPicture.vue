<script setup lang="ts">
/** A make-up as one bar of its parts, each named with its share. */
import type { Ingredient } from '../api/types'
import { figure } from '../kit/format'
import { GROUP_COLORS } from '../formulas/gauges'
import LineBrings from '../formulas/LineBrings.vue'

defineProps<{ brings: Ingredient['brings'] }>()
</script>

<template>
  <figure>
    <LineBrings :brings="brings" class="tall" />
    <ul class="list">
      <li v-for="(share, name) in brings.shares" :key="name">
        <i :style="{ background: GROUP_COLORS[name] }" />
        <span>{{ name }}</span>
        <strong>{{ figure(100 * share, 1) }} %</strong>
      </li>
      <li v-if="brings.unknown">
        <i class="unknown" /><span>unknown</span>
        <strong>{{ figure(100 * brings.unknown, 1) }} %</strong>
      </li>
    </ul>
  </figure>
</template>

<style scoped>
figure {
  display: grid;
  gap: 8px;
  margin: 0;
}

.tall {
  height: 26px;
}

li {
  align-items: center;
  border-bottom: 1px solid var(--rule);
  display: grid;
  gap: 8px;
  grid-template-columns: 10px 1fr auto;
  padding: 3px 0;
}

i {
  border-radius: 2px;
  height: 10px;
}

.unknown {
  background: var(--brick-rule);
}
</style>
