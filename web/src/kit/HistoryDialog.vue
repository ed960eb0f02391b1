<script setup lang="ts">
/** Who changed what and when. */
import Modal from 'ant-design-vue/es/modal'

import { type Shelf, useHistory } from '../api/shelves'
import { dayAndClock } from './format'

const props = defineProps<{ shelf: Shelf; id: string; name: string }>()
const emit = defineEmits<{ close: [] }>()
const history = useHistory(props.shelf, () => props.id)

function said(value: unknown): string {
  if (value === null || value === undefined || value === '') return 'nothing'
  if (Array.isArray(value)) return `${value.length} entries`
  if (typeof value === 'object') return 'as it was'
  return String(value)
}

function sentence(field: string, [before, after]: [unknown, unknown]): string {
  const name = field.replace(/_/g, ' ')
  const plain = [before, after].every((one) => typeof one !== 'object' || one === null)
  return plain ? `${name}: ${said(before)} → ${said(after)}` : name
}
</script>

<template>
  <Modal
    open
    :title="`What happened to ${name}`"
    :footer="null"
    width="560px"
    @cancel="emit('close')"
  >
    <ol class="list">
      <li v-for="change in history.data.value ?? []" :key="change.at" class="change">
        <span class="quiet">{{ dayAndClock(change.at) }}</span>
        <span>
          <strong>{{ change.who ?? 'Somebody' }}</strong> {{ change.action }}
          <span class="quiet">revision {{ change.revision }}</span>
          <span v-if="change.action === 'changed'" class="fields">
            {{
              Object.entries(change.fields)
                .map(([field, pair]) => sentence(field, pair as [unknown, unknown]))
                .join('; ')
            }}
          </span>
        </span>
      </li>
    </ol>
  </Modal>
</template>

<style scoped>
.change {
  border-bottom: 1px solid var(--rule);
  display: grid;
  gap: 12px;
  grid-template-columns: 110px 1fr;
  padding: 8px 0;
}

.fields {
  display: block;
  font-size: 14px;
}
</style>
