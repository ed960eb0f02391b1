<script setup lang="ts">
/** What stands against the dessert, each leading to where it is. */
import type { Finding, WorkedOut } from '../api/types'
import FindingCard from '../kit/FindingCard.vue'
import type { Chosen } from './parts'

defineProps<{
  solved: WorkedOut['solved']
  chosen: Chosen | null
  stale: string | undefined
  refused: boolean
}>()
const emit = defineEmits<{ choose: [chosen: Chosen] }>()

function show(finding: Finding) {
  if (finding.part) emit('choose', { part: finding.part, layer: null })
}
</script>

<template>
  <section aria-label="Findings" aria-live="polite">
    <FindingCard
      v-for="(finding, i) in solved.findings"
      :key="`${finding.code}/${finding.part}/${i}`"
      :finding="finding"
      :chosen="finding.part != null && finding.part === chosen?.part"
      @choose="show(finding)"
    >
      <RouterLink v-if="finding.formula" class="deed small" :to="`/formulas/${finding.formula}`">
        Open the formula
      </RouterLink>
      <button v-else-if="finding.part" type="button" class="deed small" @click="show(finding)">
        Show it on the cut
      </button>
    </FindingCard>
    <p v-if="refused" class="wrong">An entry is refused: what is seen is not saved.</p>
    <p v-else-if="!solved.findings.length && solved.parts.length && !stale" class="clear">
      Nothing stands against it.
    </p>
  </section>
</template>

<style scoped>
section {
  display: grid;
  gap: 8px;
  margin-bottom: 8px;
}

.deed {
  background: var(--paper);
  margin-top: 6px;
  text-decoration: none;
}

.clear {
  color: var(--muted);
  font-size: 14px;
}
</style>
