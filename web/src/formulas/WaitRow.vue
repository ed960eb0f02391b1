<script setup lang="ts">
/** One wait of the method: after which step, what, how long at least and at most, and where. */

import type { Step, Wait } from '../api/types'
import ChoiceField from '../kit/ChoiceField.vue'
import NumberField from '../kit/NumberField.vue'

const props = defineProps<{
  place: number
  text: string
  steps: Step[]
  wait: Wait
  disabled: boolean
}>()
const emit = defineEmits<{ change: [wait: Wait | null]; move: [to: number] }>()

const KINDS = ['rest', 'set', 'chill', 'freeze', 'thaw'].map((value) => ({ value, label: value }))
const WHERE = [
  { value: 0, label: 'before it is used' },
  { value: 1, label: 'once it is in place' },
]
const places = () =>
  props.steps.flatMap((step, value) =>
    value === props.place || !step.wait ? [{ value, label: `after step ${value + 1}` }] : [],
  )
const set = (change: Partial<Wait>) => emit('change', { ...props.wait, ...change })
</script>

<template>
  <li class="wait" :title="text">
    <label>
      <span class="unseen">Which step it ends</span>
      <ChoiceField
        :value="place"
        :options="places()"
        :disabled="disabled"
        @change="(to) => emit('move', Number(to))"
      />
    </label>
    <label>
      <span class="unseen">Kind of wait</span>
      <ChoiceField
        :value="wait.kind"
        :options="KINDS"
        :disabled="disabled"
        @change="(kind) => set({ kind: kind as Wait['kind'] })"
      />
    </label>
    <NumberField
      :label="`At least, after step ${place + 1}`"
      bare
      unit="min"
      :step="5"
      :value="wait.least_min"
      :disabled="disabled"
      @commit="(v) => v !== null && set({ least_min: v })"
    />
    <NumberField
      :label="`At most, after step ${place + 1}`"
      bare
      unit="min"
      :step="5"
      optional
      placeholder="or longer"
      :value="wait.most_min ?? null"
      :disabled="disabled"
      @commit="(v) => set({ most_min: v })"
    />
    <label>
      <span class="unseen">Where it waits</span>
      <ChoiceField
        :value="wait.placed ? 1 : 0"
        :options="WHERE"
        :disabled="disabled"
        @change="(placed) => set({ placed: Boolean(placed) })"
      />
    </label>
    <button
      v-if="!disabled"
      type="button"
      class="deed small"
      :aria-label="`Take out the wait after step ${place + 1}`"
      @click="emit('change', null)"
    >
      ×
    </button>
  </li>
</template>

<style scoped>
.wait {
  align-items: center;
  display: grid;
  gap: 6px;
  grid-template-columns: var(--wait-columns);
}

.wait :deep(.ant-select) {
  width: 100%;
}

@media (max-width: 1100px) {
  .wait {
    grid-template-columns: 1fr 1fr 1fr;
  }
}
</style>
