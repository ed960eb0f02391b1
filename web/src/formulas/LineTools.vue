<script setup lang="ts">
/** What can be done with the chosen line: where it goes in, sieve, soak, count on it, move, go. */
import { computed } from 'vue'

import { house } from '../api/house'
import LineAside from './LineAside.vue'
import type { LineEntry } from './lines'

defineProps<{ line: LineEntry; name: string; isBase: boolean; stages: string }>()
const emit = defineEmits<{
  change: [change: Partial<LineEntry>]
  base: []
  move: [by: 1 | -1]
  remove: []
}>()
const ASIDES = [
  {
    key: 'strained_percent',
    word: 'strain',
    unit: '% out',
    title: 'How much of it stays in the sieve: weighed and paid for, it does not arrive',
  },
  {
    key: 'soaked',
    word: 'soak',
    unit: '× soaked',
    title: 'How many times its weight of water it brings, that is weighed on no line',
  },
] as const
const asides = computed(() =>
  ASIDES.flatMap((one) => {
    const field = house.value.formulas.line[one.key]
    return field ? [{ ...one, field }] : []
  }),
)
</script>

<template>
  <span class="line-tools">
    <input
      class="stage"
      :value="line.stage"
      :list="stages"
      maxlength="40"
      placeholder="goes in at …"
      :aria-label="`At which step ${name} goes in`"
      @change="(e) => emit('change', { stage: (e.target as HTMLInputElement).value })"
    />
    <LineAside
      v-for="one in asides"
      :key="one.key"
      :word="one.word"
      :unit="one.unit"
      :field="one.field"
      :name="name"
      :value="line[one.key] ?? 0"
      :title="one.title"
      @change="(value) => emit('change', { [one.key]: value })"
    />
    <button
      type="button"
      :class="{ on: isBase }"
      :aria-pressed="isBase"
      :title="`Count percentages on ${name}`"
      :aria-label="`Count percentages on ${name}`"
      @click="emit('base')"
    >
      {{ isBase ? '●' : '○' }} %
    </button>
    <button type="button" :aria-label="`Move ${name} up`" @click="emit('move', -1)">↑</button>
    <button type="button" :aria-label="`Move ${name} down`" @click="emit('move', 1)">↓</button>
    <button type="button" :aria-label="`Take out ${name}`" @click="emit('remove')">×</button>
  </span>
</template>

<style scoped>
.line-tools {
  align-items: center;
  background: linear-gradient(to right, transparent, var(--paper) 18px);
  display: flex;
  gap: 2px;
  padding-left: 26px;
}

.line-tools :deep(button) {
  background: var(--paper);
  border: 1px solid var(--leaf-strong);
  border-radius: 6px;
  color: var(--fern);
  cursor: pointer;
  min-height: 30px;
  min-width: 30px;
  padding: 0 6px;
}

.line-tools :deep(button:hover) {
  border-color: var(--fern);
}

button.on {
  background: var(--bronze-wash);
  border-color: var(--bronze);
}

.stage {
  background: var(--paper);
  border: 1px solid var(--leaf-strong);
  border-radius: 6px;
  color: var(--bronze-text);
  font: inherit;
  font-size: 13px;
  min-height: 30px;
  padding: 0 6px;
  width: 92px;
}

@media (max-width: 1100px) {
  .stage {
    width: 70px;
  }
}

@media (pointer: coarse) {
  .line-tools :deep(button),
  .stage {
    min-height: 40px;
    min-width: 40px;
  }
}
</style>
