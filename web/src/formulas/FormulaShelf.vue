<script setup lang="ts">
/** Formulas of the kitchen, by what they are; a new one is written, or set for its job. */
import { ref } from 'vue'

import type { FormulaBrief } from '../api/types'
import { figure } from '../kit/format'
import LookSwatch from '../kit/LookSwatch.vue'
import RowList from '../kit/RowList.vue'
import type { groupsOf } from './groups'

const MOST = 6
const marking = ref(false)
/** In the order in which they were marked. */
const marked = ref<string[]>([])
const mark = (id: string) =>
  (marked.value = marked.value.includes(id)
    ? marked.value.filter((one) => one !== id)
    : [...marked.value, id])
function begin() {
  marking.value = !marking.value
  marked.value = []
}
defineProps<{
  id: string
  formulas: FormulaBrief[]
  left: number
  groups: ReturnType<typeof groupsOf>
  canMake: boolean
  error: string | undefined
}>()
const emit = defineEmits<{ make: [name: string]; set: []; more: [] }>()
</script>

<template>
  <RowList
    :id="id"
    :items="formulas"
    :left="left"
    :groups="groups"
    room="formulas"
    shelf="formulas"
    noun="formula"
    :can-make="canMake"
    :error="error"
    @make="(name) => emit('make', name)"
    @more="emit('more')"
  >
    <template #item="{ item }">
      <LookSwatch :formula="item" :size="18" />
      <span class="formula-name">{{ item.name }}</span>
      <span class="quiet grams" aria-hidden="true"> {{ figure(item.batch_g, 0) }} g </span>
    </template>
    <template v-if="marking" #mark="{ item }">
      <input
        type="checkbox"
        class="mark"
        :checked="marked.includes(item.id)"
        :disabled="!marked.includes(item.id) && marked.length >= MOST"
        :aria-label="`${item.name}, side by side`"
        @change="mark(item.id)"
      />
    </template>
    <template #make>Write a formula</template>
    <template #above>
      <button v-if="canMake" type="button" class="deed" @click="emit('set')">
        Set one for its job
      </button>
      <div class="beside">
        <button type="button" class="deed small" :aria-pressed="marking" @click="begin">
          {{ marking ? 'Mark no more' : 'Side by side …' }}
        </button>
        <RouterLink
          v-if="marking && marked.length > 1"
          class="deed small main"
          :to="{ path: '/formulas/beside', query: { f: marked.join(',') } }"
        >
          Set {{ marked.length }} side by side
        </RouterLink>
        <span v-else-if="marking" class="quiet" role="status">Mark two to {{ MOST }}.</span>
      </div>
    </template>
  </RowList>
</template>

<style scoped>
.formula-name {
  flex: 1;
  min-width: 0;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}

.beside {
  align-items: center;
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
}

.mark {
  accent-color: var(--bronze);
  height: 20px;
  width: 20px;
}

.grams {
  font-weight: 400;
}
</style>
