<script setup lang="ts">
/** Ant Design's select, saying to assistive technology what it is: open or not, and of which list. */
import Select from 'ant-design-vue/es/select'
import { computed, onMounted, onUpdated, ref, watch } from 'vue'

import { among, type Named, useFound } from './useFound'

export interface Option {
  value: string | number
  label: string
  title?: string
}
const props = withDefaults(
  defineProps<{
    value?: string | number | undefined
    options: Option[]
    disabled?: boolean
    placeholder?: string
    showSearch?: boolean
    /** The options are rows of this shelf: the server finds the ones that are typed. */
    shelf?: Named
    /** The options are what fits what is typed; `waits` for them. */
    sought?: boolean
    waits?: boolean
    bordered?: boolean
  }>(),
  { value: undefined, placeholder: '', shelf: undefined, bordered: true },
)
const emit = defineEmits<{
  change: [value: string | number]
  'update:value': [value: string | number]
  search: [typed: string]
  open: [now: boolean]
}>()
const select = ref<{ $el: HTMLElement; focus: () => void } | null>(null)
defineExpose({ focus: () => select.value?.focus() })
const open = ref(false)
const typed = ref('')
const { found } = useFound(
  () => props.shelf,
  () => typed.value,
)
const shown = computed(() => {
  if (!props.shelf || !typed.value.trim()) return props.options
  return among(props.options, found.value, (one) => one.value)
})
const searches = computed(() => props.showSearch || props.sought || Boolean(props.shelf))
function search(text: string) {
  typed.value = text
  emit('search', text)
}
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
watch(open, (now) => emit('open', now))

function choose(value: unknown) {
  emit('update:value', value as string | number)
  emit('change', value as string | number)
}
</script>

<template>
  <Select
    ref="select"
    :value="value"
    :options="shown"
    :disabled="disabled"
    :placeholder="placeholder"
    :show-search="searches"
    :filter-option="!shelf && !sought"
    option-filter-prop="label"
    :bordered="bordered"
    :not-found-content="
      waits || (shelf && typed && found === undefined) ? '…' : 'Nothing of that name'
    "
    v-bind="searches ? { onSearch: search } : {}"
    @change="choose"
    @dropdown-visible-change="(now: boolean) => (open = now)"
  />
</template>
