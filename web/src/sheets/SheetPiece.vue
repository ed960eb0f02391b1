<script setup lang="ts">
/** A sheet, or the part of it that stands on one page. */
import type { Look } from '../kit/flavors'
import DessertSheet from './DessertSheet.vue'
import FormulaSheet from './FormulaSheet.vue'
import type { Range } from './paging'
import type { Paper } from './papers'

defineProps<{
  paper: Paper
  lookOf: (formula: string) => Look
  lines?: Range
  steps?: Range
}>()
</script>

<template>
  <DessertSheet
    v-if="paper.kind === 'dessert'"
    :dessert="paper.dessert"
    :sizes="paper.sizes"
    :look-of="lookOf"
    :lines="lines"
    :steps="steps"
  />
  <FormulaSheet
    v-else
    :page="paper.page"
    :made="paper.made"
    :number="paper.number"
    :lines="lines"
    :steps="steps"
  />
</template>
