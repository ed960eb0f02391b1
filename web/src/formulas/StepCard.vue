<script setup lang="ts">
/** One step of the method: what it is called, how hot, how long, with what, until when. */
import type { Step } from '../api/types'
import NumberField from '../kit/NumberField.vue'
import OvenFields from './OvenFields.vue'
import StepWords, { type Words } from './StepWords.vue'
import WaitFields from './WaitFields.vue'

const props = defineProps<{
  step: Step
  place: number
  /** What is done, what follows the drawing in words. */
  says: string
  /** How hot, how long, with what, in words. */
  told: string
  /** The wait it ends with, in words. */
  waits: string
  last: boolean
  open: boolean
  disabled: boolean
  errorAt: (field: string) => string | undefined
}>()
const emit = defineEmits<{
  change: [step: Step]
  toggle: []
  remove: []
  move: [by: 1 | -1]
}>()

const DOING: Words[] = [
  { field: 'text', label: 'What is done' },
  { field: 'stage', label: 'Called', short: true },
  { field: 'tool', label: 'Tool', short: true },
]
const WATCHED: Words[] = [
  { field: 'sign', label: 'Until' },
  { field: 'caution', label: 'Caution' },
  { field: 'alike', label: 'Also brought to this heat' },
]
const set = (change: Partial<Step>) => emit('change', { ...props.step, ...change })
/** Figures and ranges of a step: the second field of a pair is the upper end. */
const FIGURES = [
  { field: 'temperature_c', label: 'Temperature', unit: '°C', none: 'none' },
  { field: 'temperature_to_c', label: 'up to', unit: '°C', none: 'no range' },
  { field: 'minutes', label: 'Time', unit: 'min', none: 'none' },
  { field: 'minutes_to', label: 'up to', unit: 'min', none: 'no range' },
  { field: 'bursts_s', label: 'Repeated in bursts of', unit: 's', none: 'none' },
  { field: 'bursts_to_s', label: 'up to', unit: 's', none: 'no range' },
] as const
</script>

<template>
  <li :class="{ open }">
    <button type="button" class="head" :aria-expanded="open" @click="emit('toggle')">
      <strong>{{ place + 1 }} {{ step.stage || 'Step' }}</strong>
      <span v-if="told" class="facts">{{ told }}</span>
    </button>
    <p>{{ says || step.text }}</p>
    <p v-if="step.sign" class="quiet">until {{ step.sign }}</p>
    <p v-if="step.caution" class="caution">{{ step.caution }}</p>
    <p v-if="step.wait" class="waits">
      {{ waits }} <span v-if="step.wait.placed">once in place</span>
    </p>
    <div v-if="open && !disabled" class="fields">
      <StepWords :step="step" :place="place" :words="DOING" :error-at="errorAt" @say="set" />
      <NumberField
        v-for="{ field, label, unit, none } in FIGURES"
        :key="field"
        :label="label"
        :unit="unit"
        optional
        :placeholder="none"
        :value="step[field] ?? null"
        :error="errorAt(`method.${place}.${field}`)"
        @commit="(value) => set({ [field]: value })"
      />
      <OvenFields
        class="wide"
        :place="place"
        :legs="step.then"
        :error-at="errorAt"
        @change="(then) => set({ then })"
      />
      <StepWords :step="step" :place="place" :words="WATCHED" :error-at="errorAt" @say="set" />
      <p class="wide quiet">
        {{ '{thickness}' }} and {{ '{across}' }} in what is done follow the drawing of the dessert.
      </p>
      <WaitFields
        class="wide"
        :place="place"
        :wait="step.wait ?? null"
        @change="(wait) => set({ wait })"
      />
      <span class="wide deeds">
        <button type="button" class="deed small" :disabled="!place" @click="emit('move', -1)">
          Earlier
        </button>
        <button type="button" class="deed small" :disabled="last" @click="emit('move', 1)">
          Later
        </button>
        <button type="button" class="deed small" @click="emit('remove')">Take the step out</button>
      </span>
    </div>
  </li>
</template>

<style scoped>
li {
  border-top: 2px solid var(--leaf-strong);
  font-size: 14px;
  padding-top: 5px;
}

li.open {
  border-top-color: var(--bronze);
  grid-column: span 2;
}

.head {
  background: none;
  border: 0;
  color: var(--ink);
  cursor: pointer;
  display: flex;
  gap: 8px;
  justify-content: space-between;
  padding: 0 0 2px;
  text-align: left;
  width: 100%;
}

.facts {
  color: var(--frost-text);
  text-align: right;
}

.waits {
  color: var(--frost-text);
}

.deeds {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
}

.caution {
  color: var(--amber);
}

.fields {
  display: grid;
  gap: 6px 8px;
  grid-template-columns: 1fr 1fr;
  margin-top: 6px;
}

.wide {
  grid-column: span 2;
}
</style>
