<script setup lang="ts" generic="S extends Shelf">
/** A choice among the rows of a shelf: the first of them, or what the server finds as one types. */
import { computed, ref } from 'vue'

import { type Shelf, type Shelves, useRows } from '../api/shelves'
import ChoiceField, { type Option } from './ChoiceField.vue'
import { useSought } from './useFound'

type Row = Shelves[S]['brief']
interface Beside extends Option {
  /** Not offered where a row is called so already. */
  unless?: string
}
const props = withDefaults(
  defineProps<{
    shelf: S
    value?: string | undefined
    /** What the chosen one is called, whether it is among those offered or not. */
    label?: string | undefined
    /** What else may be chosen. */
    options?: Beside[]
    fits?: (row: Row) => boolean
    says?: (row: Row) => Option
    disabled?: boolean
    placeholder?: string
    bordered?: boolean
  }>(),
  {
    value: undefined,
    label: undefined,
    options: () => [],
    fits: () => true,
    says: (row: Row) => ({ value: row.id, label: row.name }),
    placeholder: '',
    bordered: true,
  },
)
const emit = defineEmits<{
  change: [value: string]
  'update:value': [value: string]
  search: [typed: string]
  /** The row that was chosen. */
  row: [row: Row]
}>()
const field = ref<InstanceType<typeof ChoiceField> | null>(null)
defineExpose({ focus: () => field.value?.focus() })
const open = ref(false)
const typed = ref('')
const shelved = useRows(props.shelf, {}, () => open.value)
const sought = useSought(props.shelf, () => typed.value)
const looking = computed(() => Boolean(typed.value.trim()))
const rows = computed(() => (looking.value ? (sought.found.value ?? []) : shelved.rows.value))
const waits = computed(() => looking.value && sought.found.value === undefined)

/** Rows of the shelf, with what else there is before them, or after those that were found. */
const offered = computed<Option[]>(() => {
  const own = rows.value.filter(props.fits).map(props.says)
  const called = new Set(own.map((one) => one.label.toLowerCase()))
  const beside = props.options.filter((one) => !called.has(one.unless?.toLowerCase() ?? ''))
  if (looking.value) return waits.value ? own : [...own, ...beside]
  const all = [...beside, ...own]
  const missing = props.value && all.every((one) => one.value !== props.value)
  return missing && props.label ? [{ value: props.value ?? '', label: props.label }, ...all] : all
})

function search(text: string) {
  typed.value = text
  emit('search', text)
}

function choose(value: string | number) {
  const row = rows.value.find((one) => one.id === value)
  if (row) emit('row', row)
  emit('update:value', String(value))
  emit('change', String(value))
}
</script>

<template>
  <ChoiceField
    ref="field"
    :value="value"
    :options="offered"
    :disabled="disabled"
    :placeholder="placeholder"
    :bordered="bordered"
    sought
    :waits="waits"
    @search="search"
    @open="(now) => (open = now)"
    @change="choose"
  />
</template>
