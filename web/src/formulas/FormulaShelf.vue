<script setup lang="ts">
/** Formulas of the kitchen, by what they are; a new one is written, or set for its job. */
import type { FormulaBrief } from '../api/types'
import { figure } from '../kit/format'
import LookSwatch from '../kit/LookSwatch.vue'
import RowList from '../kit/RowList.vue'
import type { groupsOf } from './groups'

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
    <template #make>Write a formula</template>
    <template #above>
      <button v-if="canMake" type="button" class="deed" @click="emit('set')">
        Set one for its job
      </button>
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

.grams {
  font-weight: 400;
}
</style>
