<script setup lang="ts">
/** When the making of a dessert begins for its next services, as planned. */
import { useQuery } from '@tanstack/vue-query'

import { api, take } from '../api/client'
import type { StartBy } from '../api/types'

const props = defineProps<{ id: string }>()
const query = useQuery({
  shallow: true,
  queryKey: ['services', 'start by', () => props.id],
  queryFn: () =>
    take<StartBy[]>(
      api.GET('/api/timelines/start-by/{dessert_id}', {
        params: { path: { dessert_id: props.id } },
      }) as never,
    ),
})
</script>

<template>
  <p v-for="one in query.data.value ?? []" :key="one.order" class="start-by">
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
