<script setup lang="ts">
/** When the making of a dessert begins for its next services, as planned. */
import { useStartBy } from '../shell/useServices'

const props = defineProps<{ id: string }>()
const starts = useStartBy(() => props.id)
</script>

<template>
  <p v-for="one in starts ?? []" :key="one.order" class="start-by">
    Start by <strong>{{ one.start }}</strong> for
    <RouterLink :to="`/plan/${one.order}`">{{ one.name }}</RouterLink>, {{ one.service }}
  </p>
</template>

<style scoped>
.start-by {
  background: var(--bronze-wash);
  border-radius: var(--round);
  font-size: 14px;
  padding: 5px 10px;
}
</style>
