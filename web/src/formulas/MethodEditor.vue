<script setup lang="ts">
/** The method as cards, a step each with the wait it ends with; or written as text, a step a line. */
import { Textarea } from 'ant-design-vue/es/input'
import { computed, ref, watch } from 'vue'

import type { Step } from '../api/types'
import StepCard from './StepCard.vue'

const props = defineProps<{
  steps: Step[]
  /** What is done in each step, what follows the drawing in words. */
  says: string[] | undefined
  /** How hot, how long and with what each step is done, in words. */
  told: string[] | undefined
  /** The wait each step ends with, in words. */
  waits: string[] | undefined
  disabled: boolean
  errorAt: (field: string) => string | undefined
}>()
const emit = defineEmits<{ change: [steps: Step[]] }>()
const BLANK: Step = {
  text: '',
  stage: '',
  tool: '',
  sign: '',
  caution: '',
  wait: null,
  then: [],
  alike: '',
}
const shown = () => props.steps.map((step) => step.text).join('\n')
const text = ref(shown())
watch(
  () => props.steps,
  () => (text.value = shown()),
)
const open = ref<number | null>(null)
const asked = ref(false)
const writing = computed(() => asked.value || (!props.steps.length && !props.disabled))

/** A line keeps the wait and the rest of the step it was, by its words or else by its place. */
function commit() {
  asked.value = false
  const lines = text.value
    .split('\n')
    .map((line) => line.trim())
    .filter(Boolean)
  if (lines.join('\n') === shown()) return
  const same = lines.length === props.steps.length
  const was = (line: string, place: number) =>
    props.steps.find((step) => step.text === line) ?? (same ? props.steps[place] : undefined)
  emit(
    'change',
    lines.map((line, place) => ({ ...BLANK, ...was(line, place), text: line })),
  )
}

function set(place: number, step: Step) {
  emit(
    'change',
    props.steps.map((one, at) => (at === place ? step : one)),
  )
}
function add() {
  emit('change', [...props.steps, { ...BLANK, text: 'Next step.' }])
  open.value = props.steps.length
}
function remove(place: number) {
  open.value = null
  emit(
    'change',
    props.steps.filter((_, at) => at !== place),
  )
}
function move(place: number, by: 1 | -1) {
  const next = [...props.steps]
  const [step] = next.splice(place, 1)
  if (!step || place + by < 0 || place + by > next.length) return
  next.splice(place + by, 0, step)
  open.value = place + by
  emit('change', next)
}

const faults = computed(() =>
  props.steps.flatMap((_, place) => {
    const fault = ['text', 'wait.least_min', 'wait.most_min'].flatMap(
      (field) => props.errorAt(`method.${place}.${field}`) ?? [],
    )
    return fault.map((one) => `Step ${place + 1}: ${one}`)
  }),
)
</script>

<template>
  <section class="method">
    <header>
      <h3 id="method-title">Method</h3>
      <span v-if="!disabled && !writing" class="deeds">
        <button type="button" class="deed small" @click="add">Add a step</button>
        <button type="button" class="deed small" @click="asked = true">Write it as text</button>
      </span>
    </header>
    <template v-if="writing">
      <Textarea
        v-model:value="text"
        :auto-size="{ minRows: 3, maxRows: 14 }"
        aria-labelledby="method-title"
        placeholder="One step a line, in the order of work: temperature, time, the sign to stop at."
        @blur="commit"
      />
    </template>
    <ol v-else-if="steps.length" class="list cards" aria-label="Steps">
      <StepCard
        v-for="(step, place) in steps"
        :key="place"
        :step="step"
        :place="place"
        :says="says?.[place] ?? ''"
        :told="told?.[place] ?? ''"
        :waits="waits?.[place] ?? ''"
        :last="place === steps.length - 1"
        :open="open === place"
        :disabled="disabled"
        :error-at="errorAt"
        @change="(now) => set(place, now)"
        @toggle="open = open === place ? null : place"
        @remove="remove(place)"
        @move="(by) => move(place, by)"
      />
    </ol>
    <p v-else class="quiet">No method is written down.</p>
    <p v-for="fault in faults" :key="fault" class="wrong" role="alert">{{ fault }}</p>
    <p v-if="errorAt('method')" class="wrong">{{ errorAt('method') }}</p>
  </section>
</template>

<style scoped>
.method {
  display: grid;
  gap: 6px;
}

header {
  align-items: center;
  display: flex;
  gap: 12px;
  justify-content: space-between;
}

.deeds {
  display: flex;
  gap: 6px;
}

.cards {
  display: grid;
  gap: 12px 16px;
  grid-template-columns: repeat(auto-fill, minmax(168px, 1fr));
}
</style>
