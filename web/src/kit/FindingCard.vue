<script setup lang="ts">
import type { Finding } from '../api/types'

defineProps<{ finding: Finding; chosen?: boolean }>()
const emit = defineEmits<{ choose: [] }>()
const SAY = { wrong: 'Cannot be made', caution: 'Take care', note: 'Note' }
</script>

<template>
  <article :class="['finding', finding.severity, { chosen }]">
    <button type="button" class="message" @click="emit('choose')">
      <span class="level">{{ SAY[finding.severity] }}</span>
      <strong>{{ finding.message }}</strong>
    </button>
    <p v-if="finding.remedy">{{ finding.remedy }}</p>
    <slot />
    <details>
      <summary>Why</summary>
      <p>{{ finding.why }}</p>
      <p class="quiet">Source: {{ finding.source }}</p>
    </details>
  </article>
</template>

<style scoped>
.finding {
  border: 1px solid var(--rule);
  border-radius: var(--round);
  font-size: 14px;
  padding: 9px 11px;
}

.finding.chosen {
  box-shadow: 0 0 0 2px var(--bronze);
}

.wrong {
  background: var(--brick-wash);
  border-color: var(--brick-rule);
  color: var(--ink);
}

.wrong .message {
  color: var(--brick);
}

.caution {
  background: var(--amber-wash);
  border-color: var(--amber-rule);
}

.caution .message {
  color: var(--amber);
}

.message {
  background: none;
  border: 0;
  cursor: pointer;
  display: block;
  padding: 0;
  text-align: left;
}

.level {
  display: block;
  font-size: 12px;
}

details {
  margin-top: 4px;
}

summary {
  color: var(--muted);
  cursor: pointer;
  font-size: 13px;
}
</style>
