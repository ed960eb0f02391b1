<script setup lang="ts">
/** What can be done with the chosen line: where it goes in, strain, count on it, move, take out. */
import type { LineEntry } from './lines'

defineProps<{ line: LineEntry; name: string; isBase: boolean; stages: string }>()
const emit = defineEmits<{
  change: [change: Partial<LineEntry>]
  base: []
  move: [by: 1 | -1]
  remove: []
}>()
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
    <button
      type="button"
      :class="{ on: line.strained }"
      :aria-pressed="line.strained"
      :aria-label="line.strained ? `${name}: strained out` : `strain ${name} out`"
      title="Weighed and paid for, but taken out again: it does not arrive"
      @click="emit('change', { strained: !line.strained })"
    >
      strain
    </button>
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

button {
  background: var(--paper);
  border: 1px solid var(--leaf-strong);
  border-radius: 6px;
  color: var(--fern);
  cursor: pointer;
  min-height: 30px;
  min-width: 30px;
  padding: 0 6px;
}

button:hover {
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

@media (pointer: coarse) {
  button,
  .stage {
    min-height: 40px;
    min-width: 40px;
  }
}
</style>
