<script setup lang="ts">
/** Ant Design's select, saying to assistive technology what it is: open or not, and of which list. */
import Select from 'ant-design-vue/es/select'
import { onMounted, onUpdated, ref, watch } from 'vue'

export interface Option {
  value: string | number
  label: string
  title?: string
}
withDefaults(
  defineProps<{
    value?: string | number | undefined
    options: Option[]
    disabled?: boolean
    placeholder?: string
    showSearch?: boolean
    filterOption?: (typed: string, option?: { value?: unknown; label?: unknown }) => boolean
    bordered?: boolean
  }>(),
  { value: undefined, placeholder: '', filterOption: undefined, bordered: true },
)
const emit = defineEmits<{
  change: [value: string | number]
  'update:value': [value: string | number]
  search: [typed: string]
}>()
const select = ref<{ $el: HTMLElement; focus: () => void } | null>(null)
defineExpose({ focus: () => select.value?.focus() })
const open = ref(false)
const LIST = ['aria-controls', 'aria-owns', 'aria-activedescendant']

/** The list is in the page only once it was opened; until then nothing may point at it. */
function mend() {
  const input = select.value?.$el.querySelector('[role="combobox"]')
  if (!input) return
  input.setAttribute('aria-expanded', String(open.value))
  if (document.getElementById(`${input.id}_list`)) {
    input.setAttribute('aria-controls', `${input.id}_list`)
  } else {
    LIST.forEach((name) => input.removeAttribute(name))
  }
}
onMounted(mend)
onUpdated(mend)
watch(open, mend, { flush: 'post' })

function choose(value: unknown) {
  emit('update:value', value as string | number)
  emit('change', value as string | number)
}
</script>

<template>
  <Select
    ref="select"
    :value="value"
    :options="options"
    :disabled="disabled"
    :placeholder="placeholder"
    :show-search="showSearch"
    :filter-option="filterOption ?? true"
    :bordered="bordered"
    v-bind="showSearch ? { onSearch: (typed: string) => emit('search', typed) } : {}"
    @change="choose"
    @dropdown-visible-change="(now: boolean) => (open = now)"
  />
</template>
