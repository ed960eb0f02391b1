<script setup lang="ts">
/** The next service of the kitchen, and how long is left until then. */
import { useNextService } from './useServices'

const next = useNextService()
</script>

<template>
  <RouterLink
    v-if="next"
    class="service"
    :to="`/plan/${next.order}`"
    :title="next.first ? `${next.name}: first hands ${next.first}` : next.name"
  >
    <span class="title">{{ next.title }}</span>
    <strong>{{ next.hour }}</strong>
    <span class="left">in {{ next.left }}</span>
  </RouterLink>
</template>

<style scoped>
.service {
  align-items: baseline;
  color: var(--strip-text);
  display: inline-flex;
  gap: 8px;
  text-decoration: none;
  white-space: nowrap;
}

.service:hover {
  text-decoration: underline;
}

strong {
  font: 700 17px var(--face-display);
}

.left {
  font-size: 14px;
}

@media (max-width: 760px) {
  .service {
    display: none;
  }
}

@media (max-width: 1180px) {
  .title,
  .left {
    display: none;
  }
}
</style>
