<script setup lang="ts">
/** What goes wrong with its family, why, and how it is saved. */
import type { Family, Job } from '../../api/types'

defineProps<{ family: Family; job: Job }>()
</script>

<template>
  <section aria-label="When it goes wrong">
    <h3>When it goes wrong</h3>
    <dl>
      <template v-for="one in family.failures" :key="one.sign">
        <dt>{{ one.sign }}</dt>
        <dd>
          {{ one.rescue }} <span class="quiet">{{ one.why }}</span>
        </dd>
      </template>
    </dl>
    <p v-for="note in job.notes" :key="note">{{ note }}</p>
    <p v-for="caution in family.cautions" :key="caution" class="caution">{{ caution }}</p>
  </section>
</template>

<style scoped>
section {
  display: grid;
  gap: 5px;
  align-content: start;
}

dl {
  display: grid;
  gap: 3px 12px;
  grid-template-columns: minmax(96px, 30%) 1fr;
  margin: 0;
}

dt {
  font-weight: 700;
}

dd {
  margin: 0;
}

.caution {
  color: var(--amber);
  font-size: 14px;
}
</style>
