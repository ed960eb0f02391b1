<script setup lang="ts" generic="S extends Shelf">
/** The shelf of a room: find, choose, make a new one; archived ones on request. */
import Input from 'ant-design-vue/es/input'
import { computed, ref, watch } from 'vue'

import type { Shelf, Shelves } from '../api/shelves'
import { useSought } from './useFound'
import { useSeen } from './useSeen'

type Item = Shelves[S]['brief']
const props = defineProps<{
  items: Item[]
  /** How many more there are on the shelf. */
  left: number
  /** The same under headings, for while nothing is looked for. */
  groups?: { title: string; items: Item[] }[]
  room: string
  shelf: S
  id?: string | undefined
  noun: string
  /** What else may be typed to find one. */
  hint?: string
  canMake: boolean
  error?: string | undefined
}>()
const emit = defineEmits<{
  make: [name: string]
  more: []
  /** What is looked for; all while nothing is. */
  show: [items: Item[] | null]
}>()
const oneOf = computed(() => `${/^[aeiou]/.test(props.noun) ? 'an' : 'a'} ${props.noun}`)
const query = ref('')
const making = ref<string | null>(null)
const sought = useSought(props.shelf, () => query.value)
/** What was found before stands until the next answer. */
const found = computed<Item[]>((before) => sought.found.value ?? before ?? [])
watch([found, query], () => emit('show', query.value.trim() ? found.value : null))
const shown = computed(() => {
  if (query.value.trim()) return [{ title: '', items: found.value }]
  return props.groups ?? [{ title: '', items: props.items }]
})
/** How many there are beyond what is shown, of all or of what is looked for. */
const left = computed(() => (query.value.trim() ? sought.left.value : props.left))
const more = () => (query.value.trim() ? sought.more() : emit('more'))
/** Who scrolls to the end of it goes on reading. */
const end = ref<HTMLElement | null>(null)
useSeen(end, more)

function make() {
  if (!making.value?.trim()) return
  emit('make', making.value.trim())
  making.value = null
}
</script>

<template>
  <aside :aria-label="`Every ${noun}`">
    <Input
      v-model:value="query"
      :placeholder="hint ?? `Find ${oneOf}`"
      :aria-label="`Find ${oneOf}`"
      allow-clear
    />
    <form v-if="making !== null" class="new" @submit.prevent="make">
      <Input
        v-model:value="making"
        :placeholder="`Name of the ${noun}`"
        :aria-label="`Name of the new ${noun}`"
        autofocus
      />
      <button class="deed main" type="submit">Add</button>
    </form>
    <button v-else-if="canMake" type="button" class="deed" @click="making = query">
      <slot name="make">Add a {{ noun }}</slot>
    </button>
    <div v-if="$slots.above" class="above"><slot name="above" /></div>
    <template v-for="(group, i) in shown" :key="i">
      <h3 v-if="group.title" class="eyebrow group">{{ group.title }}</h3>
      <ul class="list rows">
        <li v-for="one in group.items" :key="one.id" :class="{ marked: $slots.mark }">
          <slot name="mark" :item="one" />
          <RouterLink :to="`/${room}/${one.id}`" :class="['row', { chosen: one.id === id }]">
            <slot name="item" :item="one">{{ one.name }}</slot>
          </RouterLink>
        </li>
      </ul>
    </template>
    <button v-if="left" ref="end" type="button" class="deed dashed" @click="more">
      {{ left }} more: show some, or type a word of the name
    </button>
    <p v-if="query && sought.found.value && !found.length" class="quiet">
      No {{ noun }} of that name.
    </p>
    <p v-if="error" class="wrong" role="alert">{{ error }}</p>
  </aside>
</template>

<style scoped>
aside {
  display: flex;
  flex-direction: column;
  gap: 10px;
}

.above {
  display: grid;
  gap: 6px;
}

.group {
  font-family: var(--face-text);
  letter-spacing: 0;
  margin: 6px 8px -6px;
}

li.marked {
  align-items: center;
  display: grid;
  gap: 4px;
  grid-template-columns: auto minmax(0, 1fr);
}

.row {
  align-items: center;
  border: 1px solid transparent;
  border-radius: var(--round);
  color: var(--ink);
  display: flex;
  gap: 9px;
  padding: 5px 8px;
  text-decoration: none;
}

.row:hover {
  background: rgb(255 255 255 / 55%);
}

.row.chosen {
  background: var(--bronze-wash);
  border-color: var(--bronze);
  font-weight: 700;
}

.new {
  display: flex;
  gap: 6px;
}
</style>
