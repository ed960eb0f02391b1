<script setup lang="ts">
/** Under a line's name: the same in the kitchen's measures, where it goes in, whether it comes out. */
import type { Reading } from '../api/types'
import { useWorking } from '../kit/working'
import type { LineEntry } from './useFormula'

defineProps<{
  line: LineEntry
  name: string
  kitchen: Reading['kitchen'][number] | undefined
  /** Id of the list of names of steps. */
  stages: string
  disabled: boolean
}>()
const emit = defineEmits<{ change: [change: Partial<LineEntry>] }>()
const { show } = useWorking()
</script>

<template>
  <span class="second">
    <button
      v-if="kitchen"
      type="button"
      class="measure"
      :title="`How ${kitchen.text} comes about`"
      @click="show(kitchen.working)"
    >
      {{ kitchen.text }}
    </button>
    <input
      v-if="!disabled || line.stage"
      class="stage"
      :value="line.stage"
      :list="stages"
      :disabled="disabled"
      maxlength="40"
      placeholder="goes in at …"
      :aria-label="`At which step ${name} goes in`"
      @change="(e) => emit('change', { stage: (e.target as HTMLInputElement).value })"
    />
    <button
      v-if="line.strained || !disabled"
      type="button"
      :class="['strained', { on: line.strained }]"
      :aria-pressed="line.strained"
      :aria-label="line.strained ? `${name}: strained out` : `strain ${name} out`"
      title="Weighed and paid for, but taken out again: it does not arrive"
      :disabled="disabled"
      @click="emit('change', { strained: !line.strained })"
    >
      {{ line.strained ? 'strained out' : 'strain' }}
    </button>
  </span>
</template>

<style scoped>
.second {
  display: flex;
  flex-wrap: wrap;
  gap: 0 10px;
  position: relative;
}

.measure {
  background: none;
  border: 0;
  border-bottom: 1px dotted var(--leaf-strong);
  color: var(--muted);
  cursor: help;
  font-size: 13px;
  padding: 0;
  white-space: nowrap;
}

.strained {
  background: none;
  border: 0;
  color: var(--muted);
  cursor: pointer;
  font-size: 13px;
  padding: 0;
}

/* Only offered: it takes no room until it is said. */
.strained:not(.on) {
  background: var(--porcelain);
  bottom: 0;
  opacity: 0;
  padding-left: 8px;
  position: absolute;
  right: 0;
}

.strained.on,
.strained:focus-visible,
tr:hover .strained,
tr:focus-within .strained {
  opacity: 1;
}

.strained.on {
  color: var(--frost-text);
  text-decoration: underline;
}

.stage {
  background: none;
  border: 0;
  border-bottom: 1px solid transparent;
  color: var(--bronze-text);
  font-size: 13px;
  min-width: 0;
  padding: 0;
  width: 80px;
}

.stage::placeholder {
  color: transparent;
}

tr:hover .stage::placeholder,
tr:focus-within .stage::placeholder,
.stage:focus::placeholder {
  color: var(--muted);
}

.stage:focus {
  border-bottom-color: var(--bronze);
}
</style>
