<script setup lang="ts">
/** What could not be saved, and the ways on. */
import type { Problem } from '../api/client'

defineProps<{ problem: Problem; comparable?: boolean }>()
const emit = defineEmits<{ reload: []; insist: []; compare: [] }>()
</script>

<template>
  <div v-if="problem.isSilence" class="notice silence" role="status">
    <p>
      <strong>{{ problem.status ? problem.detail : 'No connection.' }}</strong> Work goes on; it is
      kept on this device and saved as soon as the kitchen server answers and Fern Bell is open
      here. It is not saved yet.
    </p>
    <button type="button" class="deed small" @click="emit('insist')">Try now</button>
  </div>
  <div v-else-if="problem.status === 401" class="notice silence" role="status">
    <p><strong>Signed out.</strong> What you did is kept, and is saved once you are back.</p>
  </div>
  <div v-else class="notice" role="alert">
    <p><strong>Not saved.</strong> {{ problem.detail }}</p>
    <template v-if="problem.status === 409">
      <button v-if="comparable" type="button" class="deed small main" @click="emit('compare')">
        Compare part by part
      </button>
      <button type="button" class="deed small" @click="emit('reload')">Show theirs</button>
      <button type="button" class="deed small warn" @click="emit('insist')">
        Save mine over it
      </button>
    </template>
    <button v-else type="button" class="deed small" @click="emit('reload')">
      Back to what is saved
    </button>
  </div>
</template>

<style scoped>
.notice {
  align-items: center;
  background: var(--brick-wash);
  border: 1px solid var(--brick-rule);
  border-radius: var(--round);
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  padding: 8px 12px;
}

.notice.silence {
  background: var(--amber-wash);
  border-color: var(--amber-rule);
}

p {
  flex: 1 1 260px;
}
</style>
