<script setup lang="ts">
import Input from 'ant-design-vue/es/input'
import { ref, useId } from 'vue'

const value = defineModel<string>({ required: true })
defineProps<{
  label: string
  error?: string | undefined
  hint?: string | undefined
  type?: 'text' | 'password'
  autocomplete?: string
  disabled?: boolean
}>()
const emit = defineEmits<{ commit: [] }>()
const id = useId()
const input = ref<{ focus: () => void } | null>(null)
defineExpose({ focus: () => input.value?.focus() })
</script>

<template>
  <div class="field">
    <label :for="id" class="eyebrow">{{ label }}</label>
    <Input
      :id="id"
      ref="input"
      v-model:value="value"
      :type="type ?? 'text'"
      :autocomplete="autocomplete ?? 'off'"
      :status="error ? 'error' : ''"
      :disabled="disabled ?? false"
      :aria-invalid="Boolean(error)"
      :aria-describedby="error || hint ? `${id}-say` : undefined"
      @change="emit('commit')"
    />
    <p v-if="error || hint" :id="`${id}-say`" :class="error ? 'wrong say' : 'quiet say'">
      {{ error ?? hint }}
    </p>
  </div>
</template>

<style scoped>
.field {
  min-width: 0;
}

.say {
  font-size: 13px;
  margin-top: 2px;
}
</style>
