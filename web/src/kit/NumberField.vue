<script setup lang="ts">
/** A number with its unit. It is handed on when committed (Enter, leaving, arrow keys). */
import Input from 'ant-design-vue/es/input'
import { computed, ref, useId, watch } from 'vue'

import { typedNumber } from './format'
import { scaleOf } from './units'

const props = defineProps<{
  label: string
  value: number | null
  unit?: string
  step?: number
  optional?: boolean
  placeholder?: string
  error?: string | undefined
  disabled?: boolean
  bare?: boolean
  /** Without a frame until it has the focus: a cell of a table. */
  plain?: boolean
}>()
const emit = defineEmits<{ commit: [value: number | null]; enter: [] }>()
const id = useId()
const scale = computed(() => scaleOf(props.unit))
const shown = () =>
  props.value === null ? '' : String(Number(scale.value.shown(props.value).toFixed(4)))
const text = ref(shown())
const misread = ref('')
const complaint = computed(() => misread.value || props.error)

watch([() => props.value, scale], () => {
  text.value = shown()
  misread.value = ''
})

function commit() {
  if (text.value.trim() === '' && props.optional) return hand(null)
  const number = typedNumber(text.value)
  if (number === undefined) {
    const unit = scale.value.unit
    misread.value = `${props.label} must be a number${unit ? ` of ${unit}` : ''}.`
    return
  }
  // What was not touched is not changed by being read in another unit.
  hand(text.value === shown() ? props.value : scale.value.kept(number))
}

function hand(number: number | null) {
  misread.value = ''
  if (number !== props.value) emit('commit', number)
}

/** One listener: Ant Design's input takes no list of them. */
function arrow(event: KeyboardEvent) {
  if (event.key !== 'ArrowUp' && event.key !== 'ArrowDown') return
  event.preventDefault()
  const direction = event.key === 'ArrowUp' ? 1 : -1
  const step = (props.step ?? 1) * (event.shiftKey ? 10 : 1)
  const next = (typedNumber(text.value) ?? 0) + direction * step
  text.value = String(Number(next.toFixed(4)))
  commit()
}

function enter() {
  commit()
  emit('enter')
}
</script>

<template>
  <div :class="['field', { cell: plain }]" :data-typing="text !== shown()">
    <label :for="id" :class="bare ? 'unseen' : 'eyebrow'">{{ label }}</label>
    <Input
      :id="id"
      v-model:value="text"
      inputmode="decimal"
      autocomplete="off"
      :placeholder="placeholder ?? ''"
      :suffix="scale.unit"
      :disabled="disabled ?? false"
      :status="complaint ? 'error' : ''"
      :aria-invalid="Boolean(complaint)"
      :aria-describedby="complaint ? `${id}-say` : undefined"
      @blur="commit"
      @press-enter="enter"
      @keydown="arrow"
    />
    <p v-if="complaint" :id="`${id}-say`" class="wrong say">{{ complaint }}</p>
  </div>
</template>

<style scoped>
.field {
  min-width: 0;
}

.field :deep(input) {
  font-weight: 600;
}

.cell :deep(.ant-input:not(:focus, .ant-input-status-error)),
.cell :deep(.ant-input-affix-wrapper:not(.ant-input-affix-wrapper-focused)) {
  background: none;
  border-color: transparent;
}

.cell :deep(.ant-input) {
  height: 32px;
  padding-block: 2px;
}

.say {
  font-size: 13px;
  margin-top: 2px;
}
</style>
