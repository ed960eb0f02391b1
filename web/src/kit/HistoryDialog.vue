<script setup lang="ts">
/** Who changed what and when. */
import Modal from 'ant-design-vue/es/modal'

import { type Shelf, useHistory } from '../api/shelves'
import type { Change } from '../api/types'
import { dayAndClock } from './format'

const props = defineProps<{ shelf: Shelf; id: string; name: string }>()
const emit = defineEmits<{ close: [] }>()
const { rows: changes, left, more } = useHistory(props.shelf, props.id)

function said(value: unknown): string {
  return value === null || value === undefined || value === '' ? 'nothing' : String(value)
}

/** Lists and the like only say that they changed. */
function sentence(field: string, pair: Change['fields'][string]): string {
  const name = field.replace(/_/g, ' ')
  return pair ? `${name}: ${said(pair[0])} → ${said(pair[1])}` : name
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
      <li v-for="change in changes" :key="change.at" class="change">
        <span class="quiet">{{ dayAndClock(change.at) }}</span>
        <span>
          <strong>{{ change.who ?? 'Somebody' }}</strong> {{ change.action }}
          <span class="quiet">revision {{ change.revision }}</span>
          <span v-if="change.action === 'changed'" class="fields">
            {{
              Object.entries(change.fields)
                .map(([field, pair]) => sentence(field, pair))
                .join('; ')
            }}
          </span>
        </span>
      </li>
    </ol>
    <button v-if="left" type="button" class="deed small" @click="more">Earlier</button>
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
