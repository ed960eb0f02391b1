<script setup lang="ts">
/** One demand of a fit, in the words of its kind. */
import { computed } from 'vue'

import type { Families } from '../../api/types'
import ChoiceField from '../../kit/ChoiceField.vue'
import NumberField from '../../kit/NumberField.vue'
import { type Ask, type Typed, wordsOf } from './demands'

const props = defineProps<{
  demand: Typed
  figures: Families['figures']
  /** The figure of the job's dial, where the formula has one. */
  dial: { name: string; unit: string } | undefined
  lines: { value: string; label: string }[]
  error: string | undefined
}>()
const emit = defineEmits<{ change: [change: Partial<Typed>]; remove: [] }>()
const options = computed(() => [
  ...(props.dial ? [{ value: 'dial', label: `${props.dial.name} (the dial)` }] : []),
  ...props.figures.map(({ code, name, unit }) => ({
    value: code,
    label: unit.length > 3 ? `${name}, ${unit}` : name,
  })),
])
/** Only a short unit fits beside two numbers; what sweetness is of is said in its name. */
const unit = computed(() => {
  const { figure } = props.demand
  if (!asks('figure')) return ''
  const own = figure === 'dial' ? props.dial : props.figures.find((one) => one.code === figure)
  return own && own.unit.length <= 3 ? own.unit : ''
})
const words = computed(() => wordsOf(props.demand.kind))
const name = computed(() => words.value?.title ?? '')
const asks = (what: Ask) => words.value?.asks.includes(what)
</script>

<template>
  <li>
    <span class="kind">{{ name }}</span>
    <span class="fields">
      <label v-if="asks('figure')" class="pick">
        <span class="eyebrow">figure</span>
        <ChoiceField
          :value="demand.figure || undefined"
          :options="options"
          placeholder="which"
          show-search
          @change="(figure) => emit('change', { figure: String(figure) })"
        />
      </label>
      <label v-if="asks('line')" class="pick">
        <span class="eyebrow">line</span>
        <ChoiceField
          :value="demand.line || undefined"
          :options="lines"
          placeholder="which"
          @change="(line) => emit('change', { line: String(line) })"
        />
      </label>
      <label v-if="asks('on')" class="pick">
        <span class="eyebrow">for each 1 of</span>
        <ChoiceField
          :value="demand.on || undefined"
          :options="lines"
          placeholder="which"
          @change="(on) => emit('change', { on: String(on) })"
        />
      </label>
      <template v-if="asks('ends')">
        <NumberField
          label="at least"
          :unit="unit"
          optional
          :step="0.1"
          :value="demand.least"
          @commit="(least) => emit('change', { least })"
        />
        <NumberField
          label="at most"
          :unit="unit"
          optional
          :step="0.1"
          :value="demand.most"
          @commit="(most) => emit('change', { most })"
        />
      </template>
      <NumberField
        v-if="asks('mass_g')"
        label="grams"
        unit="g"
        optional
        :value="demand.mass_g"
        @commit="(mass_g) => emit('change', { mass_g })"
      />
    </span>
    <button
      type="button"
      class="deed small"
      :aria-label="`Ask no more: ${name}`"
      @click="emit('remove')"
    >
      ×
    </button>
    <p v-if="error" class="wrong" role="alert">{{ error }}</p>
  </li>
</template>

<style scoped>
li {
  align-items: end;
  border-top: 1px solid var(--rule);
  display: grid;
  gap: 4px 10px;
  grid-template-columns: 78px 1fr auto;
  padding: 6px 0;
}

.kind {
  font-weight: 700;
  padding-bottom: 7px;
}

.fields {
  display: grid;
  gap: 8px;
  grid-auto-flow: column;
  grid-auto-columns: minmax(0, 1fr);
}

.pick {
  display: grid;
  grid-column: span 2;
  min-width: 0;
}

.pick :deep(.ant-select) {
  min-width: 0;
  width: 100%;
}

.wrong {
  grid-column: 2 / -1;
}
</style>
