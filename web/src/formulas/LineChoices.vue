<script setup lang="ts">
/** What a line may be, best first, large enough to read. */
import { house } from '../api/house'
import type { LineChoice } from '../api/types'
import { figure } from '../kit/format'

defineProps<{ id: string; choices: LineChoice[]; picked: number; label: string }>()
const emit = defineEmits<{ choose: [choice: LineChoice] }>()
</script>

<template>
  <ul :id="id" class="list choices" role="listbox" :aria-label="label">
    <li
      v-for="(one, i) in choices"
      :id="`${id}-${i}`"
      :key="`${one.id}${one.measure}`"
      role="option"
      :aria-selected="i === picked"
      :class="{ picked: i === picked }"
      @mousedown.prevent="emit('choose', one)"
    >
      <span>
        {{ one.name }}
        <span v-if="one.measure" class="quiet">· {{ house.formulas.measures[one.measure] }}</span>
        <span v-if="one.called" class="quiet">· {{ one.called }}</span>
        <span v-if="one.is_formula" class="tag">formula</span>
      </span>
      <strong v-if="one.mass_g">{{ figure(one.mass_g, 1) }} g</strong>
    </li>
  </ul>
</template>

<style scoped>
li {
  align-items: center;
  border-top: 1px solid var(--rule);
  cursor: pointer;
  display: flex;
  gap: 12px;
  justify-content: space-between;
  min-height: 40px;
  padding: 4px 12px;
}

li:first-child {
  border-top: 0;
}

li.picked,
li:hover {
  background: var(--bronze-wash);
}

.tag {
  background: var(--leaf);
  border-radius: 4px;
  font-size: 13px;
  margin-left: 6px;
  padding: 1px 6px;
}
</style>
