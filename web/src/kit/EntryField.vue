<script setup lang="ts">
/** A number of an entry, called and measured as core says. */
import { numberAt } from '../api/house'
import type { FieldWords } from '../api/types'
import NumberField from './NumberField.vue'

defineProps<{
  words: FieldWords
  entry: object
  error?: string | undefined
  disabled?: boolean
}>()
const emit = defineEmits<{ commit: [value: number | null] }>()
</script>

<template>
  <NumberField
    :label="words.label"
    :unit="words.unit"
    :step="words.step"
    :optional="Boolean(words.empty)"
    :placeholder="words.empty"
    :value="numberAt(entry, words)"
    :disabled="disabled"
    :error="error"
    @commit="(value) => emit('commit', value)"
  />
</template>
