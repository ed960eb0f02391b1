<script setup lang="ts">
/** A number with its unit. It is handed on when committed (Enter, leaving, arrow keys). */
import Input from 'ant-design-vue/es/input'
import { computed, ref, useId, watch } from 'vue'

import { refusalOf } from '../api/client'
import { readMeasure } from '../api/names'
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
const complaint = computed(() => misread.value || (props.error && named(props.error)))

watch([() => props.value, scale], () => {
  text.value = shown()
  misread.value = ''
})

/** The server may know the field by another word than the screen. */
const named = (message: string) =>
  message.includes(' must be ')
    ? `${props.label} must be ${message.split(' must be ').slice(1).join(' must be ')}`
    : message

/** A bare number is taken at once; fractions and other units are read by the server. */
async function commit() {
  const typed = text.value
  if (typed.trim() === '' && props.optional) return hand(null)
  // What was not touched is not changed by being read in another unit.
  if (typed === shown()) return hand(props.value)
  if (typed.trim() === '') {
    const unit = scale.value.unit
    misread.value = `${props.label} must be a number${unit ? ` of ${unit}` : ''}.`
    return
  }
  const number = typedNumber(typed)
  if (number !== undefined) return hand(scale.value.kept(number))
  try {
    const value = await readMeasure(typed, props.unit ?? '', scale.value.unit)
    if (text.value === typed) hand(value)
  } catch (error) {
    if (text.value === typed) misread.value = named(refusalOf(error).detail)
  }
}

function hand(number: number | null) {
  misread.value = ''
  if (number !== props.value) emit('commit', number)
  else text.value = shown()
}

/** One listener: Ant Design's input takes no list of them. */
function arrow(event: KeyboardEvent) {
  if (event.key !== 'ArrowUp' && event.key !== 'ArrowDown') return
  event.preventDefault()
  const direction = event.key === 'ArrowUp' ? 1 : -1
  const step = (props.step ?? 1) * (event.shiftKey ? 10 : 1)
  const next = (typedNumber(text.value) ?? 0) + direction * step
  text.value = String(Number(next.toFixed(4)))
  void commit()
}

async function enter() {
  await commit()
  emit('enter')
}
</script>

<template>
  <div :class="['field', { cell: plain }]" :data-typing="text !== shown()">
    <label :for="id" :class="bare ? 'unseen' : 'eyebrow'">{{ label }}</label>
    <Input
      :id="id"
      v-model:value="text"
      :inputmode="scale.unit === 'in' ? 'text' : 'decimal'"
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
