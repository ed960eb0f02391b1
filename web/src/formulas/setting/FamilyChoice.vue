<script setup lang="ts">
import type { Families } from '../../api/types'

defineProps<{ families: Families['families']; chosen: string | undefined }>()
const emit = defineEmits<{ choose: [key: string] }>()
</script>

<template>
  <nav aria-label="Families">
    <button
      v-for="one in families"
      :key="one.key"
      type="button"
      :class="['family', { chosen: one.key === chosen }]"
      :aria-pressed="one.key === chosen"
      @click="emit('choose', one.key)"
    >
      {{ one.name }}
    </button>
  </nav>
</template>

<style scoped>
nav {
  align-content: start;
  border-right: 1px solid var(--rule);
  display: grid;
  gap: 2px;
  padding-right: 12px;
}

.family {
  background: none;
  border: 1px solid transparent;
  border-radius: var(--round);
  cursor: pointer;
  padding: 5px 10px;
  text-align: left;
}

.family:hover {
  background: var(--porcelain-shade);
}

.family.chosen {
  background: var(--bronze-wash);
  border-color: var(--bronze);
  font-weight: 700;
}
</style>
