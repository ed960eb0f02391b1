<script setup lang="ts" generic="T extends string | boolean">
/** A few choices side by side, one of them taken. */
defineProps<{
  label: string
  value: T
  choices: { value: T; label: string }[]
  disabled?: boolean
}>()
const emit = defineEmits<{ change: [value: T] }>()
</script>

<template>
  <span class="switch" role="group" :aria-label="label">
    <button
      v-for="one in choices"
      :key="String(one.value)"
      type="button"
      :class="{ taken: one.value === value }"
      :aria-pressed="one.value === value"
      :disabled="disabled"
      @click="emit('change', one.value)"
    >
      {{ one.label }}
    </button>
  </span>
</template>

<style scoped>
.switch {
  border: 1px solid var(--leaf-strong);
  border-radius: var(--round);
  display: inline-flex;
  overflow: hidden;
}

button {
  background: var(--paper);
  border: 0;
  color: var(--muted);
  cursor: pointer;
  font-size: 14px;
  font-weight: 600;
  min-height: 28px;
  padding: 2px 11px;
}

button.taken {
  background: var(--leaf);
  color: var(--fern);
}

button:disabled {
  cursor: default;
}

button:focus-visible {
  outline-offset: -3px;
}
</style>
