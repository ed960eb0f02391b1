<script setup lang="ts">
/** Where one is signed in, and whether a code is asked for at the door. */
import Modal from 'ant-design-vue/es/modal'

import { dayAndClock } from '../kit/format'
import SecondFactor from './SecondFactor.vue'
import { useDoor } from './useDoor'

defineProps<{ hasPassword: boolean }>()
const emit = defineEmits<{ close: [] }>()
const { sessions, end, endOthers } = useDoor()
</script>

<template>
  <Modal open title="How I come in" :footer="null" width="560px" @cancel="emit('close')">
    <h3>Where I am signed in</h3>
    <ul class="list">
      <li v-for="one in sessions.data.value ?? []" :key="one.id" class="session">
        <span>
          {{ one.agent || 'A browser' }}
          <span class="quiet">
            {{ one.address
            }}<template v-if="one.begun_at"> · since {{ dayAndClock(one.begun_at) }}</template>
          </span>
        </span>
        <span v-if="one.here" class="quiet">here</span>
        <button v-else type="button" class="deed small warn" @click="end.mutate(one.id)">
          End it
        </button>
      </li>
    </ul>
    <button
      v-if="(sessions.data.value?.length ?? 0) > 1"
      type="button"
      class="deed small"
      @click="endOthers.mutate(undefined)"
    >
      End all but this one
    </button>
    <SecondFactor v-if="hasPassword" class="second" />
  </Modal>
</template>

<style scoped>
.session {
  align-items: center;
  border-bottom: 1px solid var(--rule);
  display: flex;
  gap: 12px;
  justify-content: space-between;
  min-height: 44px;
  padding: 6px 0;
}

.list + button {
  margin-top: 10px;
}

.second {
  margin-top: 22px;
}
</style>
