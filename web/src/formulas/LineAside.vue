<script setup lang="ts">
/** What a line may say beside its grams: a word while it is not said, then its figure; 0 unsays it. */
import { nextTick, ref } from 'vue'

import type { FieldWords } from '../api/types'
import NumberField from '../kit/NumberField.vue'

defineProps<{
  word: string
  unit: string
  field: FieldWords
  name: string
  value: number
  title: string
}>()
const emit = defineEmits<{ change: [value: number] }>()
const own = ref<HTMLElement | null>(null)

/** While it is being typed the figure stays, whatever it is: the keyboard stays where it is. */
const typing = ref(false)
const inField = (event: FocusEvent) => event.target instanceof HTMLInputElement

function begin(first: number) {
  emit('change', first)
  void nextTick(() => own.value?.querySelector('input')?.focus())
}
</script>

<template>
  <span
    ref="own"
    class="aside"
    :title="title"
    @focusin="(event) => (typing = inField(event))"
    @focusout="typing = false"
  >
    <template v-if="value || typing">
      <NumberField
        bare
        optional
        :label="`${name}: ${field.label.toLowerCase()}`"
        :step="field.step"
        :value="value"
        @commit="(next) => emit('change', next ?? 0)"
      />
      {{ unit }}
    </template>
    <button v-else type="button" :aria-label="`${word} ${name}`" @click="begin(field.first ?? 0)">
      {{ word }}
    </button>
  </span>
</template>

<style scoped>
.aside {
  align-items: center;
  color: var(--frost-text);
  display: flex;
  gap: 3px;
  white-space: nowrap;
}

.aside :deep(input) {
  min-height: 30px;
  padding-inline: 4px;
  text-align: right;
  width: 40px;
}
</style>
