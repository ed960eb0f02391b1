<script setup lang="ts">
/** What was put away, and the way back. */
import Modal from 'ant-design-vue/es/modal'

import { type Shelf, useRows, useWrites } from '../api/shelves'

const props = defineProps<{ shelf: Shelf }>()
const emit = defineEmits<{ close: [] }>()
const { rows, left, more, isSuccess } = useRows(props.shelf, { archived: true })
const { restore } = useWrites(props.shelf)
</script>

<template>
  <Modal open title="Archived" :footer="null" width="480px" @cancel="emit('close')">
    <ul class="list">
      <li v-for="row in rows" :key="row.id">
        {{ row.name }}
        <button type="button" class="deed small" @click="restore.mutate(row.id)">Put back</button>
      </li>
    </ul>
    <button v-if="left" type="button" class="deed small" @click="more">{{ left }} more</button>
    <p v-if="isSuccess && !rows.length" class="quiet">Nothing was put away.</p>
  </Modal>
</template>

<style scoped>
li {
  align-items: center;
  border-bottom: 1px solid var(--rule);
  display: flex;
  justify-content: space-between;
  padding: 7px 0;
}
</style>
