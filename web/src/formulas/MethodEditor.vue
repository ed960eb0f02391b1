<script setup lang="ts">
/** The method, one step a line of text. */
import { Textarea } from 'ant-design-vue/es/input'
import { ref, watch } from 'vue'

const props = defineProps<{ steps: string[]; disabled: boolean; error?: string | undefined }>()
const emit = defineEmits<{ change: [steps: string[]] }>()
const shown = () => props.steps.join('\n')
const text = ref(shown())
watch(
  () => props.steps,
  () => (text.value = shown()),
)

function commit() {
  const steps = text.value
    .split('\n')
    .map((line) => line.trim())
    .filter(Boolean)
  if (steps.join('\n') !== shown()) emit('change', steps)
}
</script>

<template>
  <section class="method">
    <h3 id="method-title">Method</h3>
    <Textarea
      v-model:value="text"
      :auto-size="{ minRows: 3, maxRows: 14 }"
      :disabled="disabled"
      aria-labelledby="method-title"
      placeholder="One step a line, in the order of work: temperature, time, the sign to stop at."
      @blur="commit"
    />
    <p v-if="error" class="wrong">{{ error }}</p>
  </section>
</template>

<style scoped>
.method {
  display: grid;
  gap: 6px;
}
</style>
