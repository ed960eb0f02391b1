<script setup lang="ts">
/** How one dessert is divided: wedges, or columns and rows. */
import type { Portions, Solved } from '../api/types'
import NumberField from '../kit/NumberField.vue'
import WorkedFigure from '../kit/WorkedFigure.vue'

defineProps<{
  portions: Portions
  solved: Solved
  errorAt: (field: string) => string | undefined
  disabled: boolean
}>()
const emit = defineEmits<{ change: [portions: Portions] }>()
</script>

<template>
  <div class="portions">
    <NumberField
      v-if="portions.cut === 'wedges'"
      label="Wedges"
      :value="portions.count"
      :disabled="disabled"
      :error="errorAt('portions.count')"
      @commit="(v) => v !== null && emit('change', { cut: 'wedges', count: v })"
    />
    <template v-else>
      <NumberField
        label="Along"
        :value="portions.columns"
        :disabled="disabled"
        :error="errorAt('portions.columns')"
        @commit="
          (v) => v !== null && emit('change', { cut: 'grid', columns: v, rows: rowsOf(portions) })
        "
      />
      <NumberField
        label="Across"
        :value="portions.rows"
        :disabled="disabled"
        :error="errorAt('portions.rows')"
        @commit="
          (v) =>
            v !== null && emit('change', { cut: 'grid', columns: columnsOf(portions), rows: v })
        "
      />
    </template>
    <p v-if="solved.parts.length" class="each">
      <WorkedFigure :working="solved.portion" />
      <span class="quiet each-word">{{ solved.portions === 1 ? 'the portion' : 'each' }}</span>
    </p>
  </div>
</template>

<script lang="ts">
function rowsOf(portions: Portions): number {
  return portions.cut === 'grid' ? portions.rows : 1
}
function columnsOf(portions: Portions): number {
  return portions.cut === 'grid' ? portions.columns : 1
}
</script>

<style scoped>
.portions {
  align-items: end;
  display: flex;
  gap: 10px;
  justify-content: center;
}

.portions :deep(.field) {
  width: 74px;
}

.each-word {
  margin-left: 6px;
}

.each {
  font-size: 17px;
  padding-bottom: 6px;
}
</style>
