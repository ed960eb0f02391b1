<script setup lang="ts">
/** The method, one step a line of text, and the waits its steps end with. */
import { Textarea } from 'ant-design-vue/es/input'
import { computed, ref, watch } from 'vue'

import type { Step, Wait } from '../api/types'
import StepCard from './StepCard.vue'
import WaitRow from './WaitRow.vue'

const props = defineProps<{
  steps: Step[]
  disabled: boolean
  errorAt: (field: string) => string | undefined
}>()
const emit = defineEmits<{ change: [steps: Step[]] }>()
const shown = () => props.steps.map((step) => step.text).join('\n')
const text = ref(shown())
watch(
  () => props.steps,
  () => (text.value = shown()),
)

const BLANK: Step = { text: '', stage: '', tool: '', sign: '', caution: '', wait: null }
const open = ref<number | null>(null)

/** A line keeps the wait and the rest of the step it was, by its words or else by its place. */
function commit() {
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

const set = (place: number, change: Partial<Step>) =>
  emit(
    'change',
    props.steps.map((step, at) => (at === place ? { ...step, ...change } : step)),
  )
const setWait = (place: number, wait: Wait | null) => set(place, { wait })
const waiting = computed(() =>
  props.steps.flatMap((step, place) => (step.wait ? [{ place, step, wait: step.wait }] : [])),
)
const free = computed(() => props.steps.some((step) => !step.wait))
/** A new wait ends the last step that has none. */
function addWait() {
  const place = props.steps.map((step) => !step.wait).lastIndexOf(true)
  if (place >= 0) setWait(place, { kind: 'chill', least_min: 60, most_min: null, placed: false })
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
    <h3 id="method-title">Method</h3>
    <Textarea
      v-model:value="text"
      :auto-size="{ minRows: 3, maxRows: 14 }"
      :disabled="disabled"
      aria-labelledby="method-title"
      placeholder="One step a line, in the order of work: temperature, time, the sign to stop at."
      @blur="commit"
    />
    <ol v-if="steps.length" class="list cards" aria-label="Steps">
      <StepCard
        v-for="(step, place) in steps"
        :key="place"
        :step="step"
        :place="place"
        :open="open === place"
        :disabled="disabled"
        :error-at="errorAt"
        @change="(now) => set(place, now)"
        @toggle="open = open === place ? null : place"
      />
    </ol>
    <template v-if="steps.length">
      <h3 id="waits-title">Waits</h3>
      <p v-if="!waiting.length" class="quiet">
        No step waits. A rest, a set, a chill or a freeze entered here shows in the building.
      </p>
      <p v-if="waiting.length" class="heads eyebrow" aria-hidden="true">
        <span>ends</span><span>what</span><span>at least</span><span>at most</span
        ><span>where</span>
      </p>
      <ul class="list waits" aria-labelledby="waits-title">
        <WaitRow
          v-for="{ place, step, wait } in waiting"
          :key="place"
          :place="place"
          :text="step.text"
          :steps="steps"
          :wait="wait"
          :disabled="disabled"
          @change="(now) => setWait(place, now)"
          @move="
            (to) =>
              emit(
                'change',
                steps.map((one, at) =>
                  at === to ? { ...one, wait } : at === place ? { ...one, wait: null } : one,
                ),
              )
          "
        />
      </ul>
      <button v-if="!disabled && free" type="button" class="deed small dashed" @click="addWait">
        Add a wait
      </button>
    </template>
    <p v-for="fault in faults" :key="fault" class="wrong" role="alert">{{ fault }}</p>
    <p v-if="errorAt('method')" class="wrong">{{ errorAt('method') }}</p>
  </section>
</template>

<style scoped>
.method {
  --wait-columns: 124px 96px minmax(80px, 1fr) minmax(80px, 1fr) 170px 30px;
  display: grid;
  gap: 6px;
  justify-items: start;
}

.heads {
  display: grid;
  gap: 6px;
  grid-template-columns: var(--wait-columns);
}

@media (max-width: 1100px) {
  .heads {
    display: none;
  }
}

.method > :deep(textarea),
.heads,
.waits {
  width: 100%;
}

.cards {
  display: grid;
  gap: 12px 16px;
  grid-template-columns: repeat(auto-fill, minmax(168px, 1fr));
  width: 100%;
}

.waits {
  display: grid;
  gap: 6px;
}
</style>
