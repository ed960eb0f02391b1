<script setup lang="ts">
import type { Working } from '../api/types'
import { significant } from './format'

defineProps<{ working: Working; nested?: boolean }>()
</script>

<template>
  <article class="working" :class="{ nested: nested ?? false }">
    <header>
      <h3>{{ working.figure }}</h3>
      <p class="value">
        {{ significant(working.value) }} <span class="quiet">{{ working.unit }}</span>
      </p>
    </header>
    <p class="law">{{ working.law }}</p>
    <p class="arithmetic">{{ working.arithmetic }}</p>
    <dl>
      <template v-for="(one, i) in working.given" :key="i">
        <dt>{{ one.name }}</dt>
        <dd>{{ significant(one.value) }} {{ one.unit }}</dd>
      </template>
    </dl>
    <p class="quiet">Source: {{ working.source }}</p>
    <WorkingSteps v-for="(step, i) in working.steps ?? []" :key="i" :working="step" nested />
  </article>
</template>

<style scoped>
.working {
  display: grid;
  gap: 8px;
}

.working.nested {
  border-left: 3px solid var(--leaf);
  margin-top: 14px;
  padding-left: 14px;
}

header {
  align-items: baseline;
  display: flex;
  gap: 12px;
  justify-content: space-between;
}

.value {
  font-size: 20px;
  font-weight: 700;
  white-space: nowrap;
}

.nested .value {
  font-size: 16px;
}

.law {
  color: var(--muted);
}

.arithmetic {
  background: var(--porcelain-shade);
  border-radius: 6px;
  padding: 8px 10px;
}

dl {
  display: grid;
  font-size: 14px;
  gap: 2px 16px;
  grid-template-columns: 1fr auto;
  margin: 0;
}

dt {
  color: var(--muted);
}

dd {
  margin: 0;
  text-align: right;
}
</style>
