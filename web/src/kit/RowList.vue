<script setup lang="ts">
/** The shelf of a room: find, choose, make a new one; archived ones on request. */
import Input from 'ant-design-vue/es/input'
import { computed, ref } from 'vue'

import { among, type Named, useFound } from './useFound'

interface Item {
  id: string
  name: string
}
const props = defineProps<{
  items: Item[]
  /** The same under headings, for while nothing is looked for. */
  groups?: { title: string; items: Item[] }[]
  room: string
  shelf: Named
  id?: string | undefined
  noun: string
  canMake: boolean
  error?: string | undefined
}>()
const emit = defineEmits<{ make: [name: string] }>()
const oneOf = computed(() => `${/^[aeiou]/.test(props.noun) ? 'an' : 'a'} ${props.noun}`)
const query = ref('')
const making = ref<string | null>(null)
const { found: named } = useFound(
  () => props.shelf,
  () => query.value,
)
/** What was found before stands until the next answer. */
const found = computed<Item[]>((before) =>
  named.value === undefined && before ? before : among(props.items, named.value, (one) => one.id),
)
/** More than anybody scrolls through: a word finds the rest. */
const MOST = 300
const shown = computed(() => {
  if (!query.value.trim() && props.groups) return props.groups
  return [{ title: '', items: found.value.slice(0, MOST) }]
})

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
      :placeholder="`Find ${oneOf}`"
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
        <li v-for="one in group.items" :key="one.id">
          <RouterLink :to="`/${room}/${one.id}`" :class="['row', { chosen: one.id === id }]">
            <slot name="item" :item="one">{{ one.name }}</slot>
          </RouterLink>
        </li>
      </ul>
    </template>
    <p v-if="!groups && found.length > MOST" class="quiet">
      and {{ found.length - MOST }} more: type a word of the name.
    </p>
    <p v-if="query && named && !found.length" class="quiet">No {{ noun }} of that name.</p>
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
