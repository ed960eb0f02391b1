<script setup lang="ts">
/** What there is to say about a formula, each remedy one press away. */
import type { FormulaEntry, Judged, Losses, Mend, Reading } from '../api/types'
import FindingCard from '../kit/FindingCard.vue'
import { withGrams } from './lines'

const props = defineProps<{
  judged: Reading['judged']
  entry: FormulaEntry
  disabled: boolean
}>()
const emit = defineEmits<{ change: [change: Partial<FormulaEntry>] }>()

/** Where a button says the remedy it is not said twice. */
const plain = ({ finding, mend }: Judged) =>
  mend && !props.disabled ? { ...finding, remedy: '' } : finding

function apply(mend: Mend) {
  const { line, mass_g, cooking_percent, cooked_to, measured_density_g_ml } = mend
  if (typeof measured_density_g_ml === 'number') return emit('change', { measured_density_g_ml })
  if (line && mass_g !== null && mass_g !== undefined) {
    return emit('change', { lines: withGrams(props.entry.lines ?? [], [[line, mass_g]]) })
  }
  const losses = { ...(props.entry.losses as Losses) }
  if (cooked_to) losses.cooked_to = cooked_to
  else losses.cooking_percent = cooking_percent ?? 0
  emit('change', { losses })
}
</script>

<template>
  <section v-if="judged.length" aria-label="Findings" class="findings">
    <FindingCard v-for="one in judged" :key="one.finding.code" :finding="plain(one)">
      <button
        v-if="one.mend && !disabled"
        type="button"
        class="deed small mend"
        @click="apply(one.mend)"
      >
        {{ one.mend.says }}
      </button>
      <button
        v-if="one.other && !disabled"
        type="button"
        class="deed small mend"
        @click="apply(one.other)"
      >
        or {{ one.other.says.charAt(0).toLowerCase() + one.other.says.slice(1) }}
      </button>
    </FindingCard>
  </section>
</template>

<style scoped>
.findings {
  display: grid;
  gap: 8px;
}

.mend {
  background: var(--paper);
  margin-top: 6px;
}
</style>
