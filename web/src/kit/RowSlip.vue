<script setup lang="ts">
/** The slip of one row: its menu, what could not be saved, its name; the rest is the room's. */
import { computed, ref, type Ref, watch } from 'vue'

import type { Problem } from '../api/client'
import type { Shelf } from '../api/shelves'
import RowMenu from './RowMenu.vue'
import SaveNotice from './SaveNotice.vue'
import TextField from './TextField.vue'

/** As much of a draft as a slip needs; `useDraft` makes one. */
interface NamedDraft {
  draft: Ref<{ name: string } | null>
  problem: Ref<Problem | null>
  edit: (changed: { name: string }) => Promise<void>
  reload: () => Promise<void>
  insist: () => Promise<void>
}
const props = defineProps<{
  id: string
  shelf: Shelf
  room: string
  title: string
  row: NamedDraft
  disabled: boolean
}>()
const saved = computed(() => props.row.draft.value?.name ?? '')
const problem = computed(() => props.row.problem.value)
const name = ref('')
watch(saved, (now) => (name.value = now), { immediate: true })

function rename() {
  if (name.value !== saved.value) void props.row.edit({ name: name.value })
}
</script>

<template>
  <section class="slip">
    <header>
      <h2>{{ title }}</h2>
      <RowMenu :id="id" :shelf="shelf" :name="saved" :room="room" />
    </header>
    <SaveNotice v-if="problem" :problem="problem" @reload="row.reload()" @insist="row.insist()" />
    <TextField
      v-model="name"
      label="Name"
      :disabled="disabled"
      :error="problem?.at('name')"
      @focusout="rename"
      @keydown.enter="rename"
    />
    <slot />
  </section>
</template>

<style scoped>
.slip {
  align-content: start;
  display: grid;
  gap: 12px;
}

header {
  align-items: center;
  display: flex;
  flex-wrap: wrap;
  justify-content: space-between;
}
</style>
