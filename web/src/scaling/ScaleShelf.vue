<script setup lang="ts">
/** Where one is among what can be done with a dessert's sizes, and what is asked there. */
defineProps<{ id: string; name: string | undefined; title: string; here: string }>()

const WAYS = [
  { to: 'molds', name: 'In other molds' },
  { to: 'portions', name: 'Portions' },
  { to: 'cut', name: 'Cut from sheets' },
  { to: 'templates', name: 'Templates' },
  { to: 'sheets', name: 'Sheets to pin up' },
]
</script>

<template>
  <aside class="scale-shelf no-print">
    <p>
      <RouterLink :to="`/desserts/${id}`">← {{ name ?? 'The dessert' }}</RouterLink>
    </p>
    <nav aria-label="Sizes of this dessert">
      <RouterLink
        v-for="one in WAYS"
        :key="one.to"
        :to="`/desserts/${id}/${one.to}`"
        :class="{ on: one.to === here }"
        :aria-current="one.to === here ? 'page' : undefined"
      >
        {{ one.name }}
      </RouterLink>
    </nav>
    <h1>{{ title }}</h1>
    <slot />
  </aside>
</template>

<style scoped>
.scale-shelf {
  display: flex;
  flex-direction: column;
  gap: 12px;
}

nav {
  border-bottom: 1px solid var(--rule);
  border-top: 1px solid var(--rule);
  display: grid;
  grid-template-columns: 1fr 1fr;
  padding: 4px 0;
}

nav a {
  border-radius: 6px;
  color: var(--ink);
  font-size: 14px;
  padding: 5px 4px;
  white-space: nowrap;
  text-decoration: none;
}

nav a:hover {
  background: var(--paper);
}

nav a.on {
  background: var(--bronze-wash);
  color: var(--bronze-text);
}

.scale-shelf > :deep(.switch) {
  align-self: start;
}
</style>
