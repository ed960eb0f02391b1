<script setup lang="ts">
/** What it takes, and for how many. */
import NumberField from '../kit/NumberField.vue'

defineProps<{
  count: number
  countError: string | undefined
  /** What one of several sizes is called; a dessert of one size needs no name. */
  size: string | undefined
  disabled: boolean
}>()
const emit = defineEmits<{ count: [count: number] }>()
</script>

<template>
  <header>
    <h2>What it takes</h2>
    <div class="count">
      <NumberField
        label="How many desserts"
        bare
        :value="count"
        :disabled="disabled"
        :error="countError"
        @commit="(v) => v !== null && emit('count', v)"
      />
      <span class="quiet">{{ size ? `× ${size}` : count === 1 ? 'dessert' : 'desserts' }}</span>
    </div>
  </header>
</template>

<style scoped>
header {
  align-items: center;
  display: flex;
  gap: 10px;
  justify-content: space-between;
  margin-bottom: 10px;
}

.count {
  align-items: baseline;
  display: flex;
  gap: 6px;
  white-space: nowrap;
}

.count :deep(.field) {
  width: 54px;
}
</style>
