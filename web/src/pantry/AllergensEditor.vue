<script setup lang="ts">
/** Allergens of an ingredient. Until somebody says, they are unknown, which is not none. */
import { computed } from 'vue'

import { house } from '../api/house'

const props = defineProps<{ allergens: string[] | null; disabled: boolean }>()
const emit = defineEmits<{ change: [allergens: string[] | null] }>()
const every = computed(() => Object.entries(house.value.pantry.allergens))
const has = (key: string) => props.allergens?.includes(key) ?? false

function toggle(key: string) {
  const own = props.allergens ?? []
  emit('change', has(key) ? own.filter((one) => one !== key) : [...own, key])
}
</script>

<template>
  <fieldset>
    <legend class="eyebrow">Allergens, EU 1169/2011</legend>
    <div class="chips">
      <button
        v-for="[key, words] in every"
        :key="key"
        type="button"
        :class="['chip', { taken: has(key) }]"
        :aria-pressed="has(key)"
        :title="words"
        :disabled="disabled"
        @click="toggle(key)"
      >
        {{ key }}
      </button>
    </div>
    <p v-if="allergens === null" class="wrong">
      Not entered.
      <button v-if="!disabled" type="button" class="deed small" @click="emit('change', [])">
        It holds none
      </button>
    </p>
    <p v-else-if="!allergens.length" class="quiet">Holds none of them.</p>
  </fieldset>
</template>

<style scoped>
fieldset {
  border: 0;
  display: grid;
  gap: 6px;
  margin: 0;
  padding: 0;
}

.chips {
  display: flex;
  flex-wrap: wrap;
  gap: 4px;
}

.chip {
  background: var(--paper);
  border: 1px solid var(--rule);
  border-radius: 12px;
  color: var(--muted);
  cursor: pointer;
  font-size: 13px;
  min-height: 26px;
  padding: 1px 9px;
}

.chip.taken {
  background: var(--amber-wash);
  border-color: var(--amber-rule);
  color: var(--amber);
  font-weight: 700;
}

.chip:disabled {
  cursor: default;
}
</style>
