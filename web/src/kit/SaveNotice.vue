<script setup lang="ts">
/** What could not be saved, and the ways on. */
import type { Problem } from '../api/client'

defineProps<{ problem: Problem }>()
const emit = defineEmits<{ reload: []; insist: [] }>()
</script>

<template>
  <div class="notice" role="alert">
    <p><strong>Not saved.</strong> {{ problem.detail }}</p>
    <button type="button" class="deed small" @click="emit('reload')">
      {{ problem.status === 409 ? 'Show theirs' : 'Back to what is saved' }}
    </button>
    <button
      v-if="problem.status === 409"
      type="button"
      class="deed small warn"
      @click="emit('insist')"
    >
      Save mine over it
    </button>
    <button v-if="problem.status === 0" type="button" class="deed small" @click="emit('insist')">
      Try again
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

p {
  flex: 1 1 260px;
}
</style>
