<script lang="ts">
import type { Step } from '../api/types'

/** A field of a step that holds words, and how it is called; a short one shares its row. */
export interface Words {
  field: 'text' | 'stage' | 'tool' | 'sign' | 'caution' | 'alike'
  label: string
  short?: boolean
}
</script>

<script setup lang="ts">
/** Words of a step, said when they are left. */
import { ref, watch } from 'vue'

import TextField from '../kit/TextField.vue'

const props = defineProps<{
  step: Step
  place: number
  words: Words[]
  errorAt: (field: string) => string | undefined
}>()
const emit = defineEmits<{ say: [change: Partial<Step>] }>()
const typed = ref<Record<string, string>>({})
watch(
  () => props.step,
  (step) => {
    typed.value = Object.fromEntries(props.words.map(({ field }) => [field, step[field]]))
  },
  { immediate: true },
)

/** What is done cannot be taken away: the step could. */
function say(field: Words['field']) {
  const said = (typed.value[field] ?? '').trim()
  if (field === 'text' && !said) return
  if (said !== props.step[field]) emit('say', { [field]: said })
}
</script>

<template>
  <TextField
    v-for="{ field, label, short } in words"
    :key="field"
    v-model="typed[field]!"
    :label="label"
    :class="{ wide: !short }"
    :error="errorAt(`method.${place}.${field}`)"
    @focusout="say(field)"
    @keydown.enter="say(field)"
  />
</template>

<style scoped>
.wide {
  grid-column: span 2;
}
</style>
